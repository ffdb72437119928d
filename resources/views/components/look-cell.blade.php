{{-- What one place says of one session, read back from there. cell: LookCell --}}
@props(['cell'])
@switch($cell->state->value)
    @case('same')
        <x-shape is="published" /> <span>{{ $cell->words }}</span>
    @break

    @case('none')
        <span class="quiet">–</span>
    @break

    @case('ours')
        <x-shape is="published" /> <span class="quiet">{{ __('publishing.look.states.ours') }}</span>
    @break

    @default
        <x-shape is="wrong" /> <b class="bad">{{ __('publishing.look.states.' . $cell->state->value) }}</b>
        <span class="d-block">{{ $cell->words }}</span>
@endswitch
