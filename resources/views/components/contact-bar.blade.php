{{-- Contact time as a bar with its words. bar: ContactBar; bare: without the words --}}
@props(['bar', 'bare' => false])
<svg class="contact" width="{{ $bar->width }}" height="26" viewBox="0 0 {{ $bar->width }} 26" role="img"
    aria-label="{{ __('contact.bar', ['held' => $bar->held, 'coming' => $bar->coming]) }}{{ $bar->lost === '' ? '' : ', ' . __(
        'contact.lost', ['time' => $bar->lost]) }}{{ $bar->target === '' ? '' : ', ' . __('contact.target', ['time' => $bar->target]) }}">
    <rect class="held" x="1" y="6" width="{{ $bar->heldTo }}" height="14" />
    <rect class="coming" x="{{ 1 + $bar->heldTo }}" y="6.5" width="{{ max(0, $bar->comingTo - $bar->heldTo) }}" height="13" />
    <rect class="lost" x="{{ 1 + $bar->comingTo }}" y="6" width="{{ max(0, $bar->lostTo - $bar->comingTo) }}" height="14" />
    @if ($bar->targetAt !== null)
        <path class="target" d="M{{ 1 + $bar->targetAt }} 1v24" />
    @endif
</svg>
@if (!$bare)
    <p class="mb-0"><b>{{ $bar->held }}</b> {{ __('contact.held') }}, <b>{{ $bar->coming }}</b>
        {{ __('contact.coming') }}{{ $bar->lost === '' ? '' : ', ' . __('contact.lost', ['time' => $bar->lost]) }}{{ $bar->madeUp === ''
            ? ''
            : ', ' .
                __('contact.made_up', [
                    'time' => $bar->madeUp,
                ]) }}
        @if ($bar->target !== '')
            <br><span
                class="{{ $bar->verdict->value === 'short' ? 'todo' : 'good' }}">{{ __("contact.verdicts.{$bar->verdict->value}", ['time' =>
                    $bar->short, 'target' => $bar->target]) }}</span>
        @endif
    </p>
@endif
