{{-- The recording, the notes, and who missed it. page: SessionPage --}}
@if ($page->beside->recording !== null)
    <x-card :title="__('presence.session.recording')">
        <p @class([
            'ok' => $page->beside->recording->state->value === 'released',
        ])>{{ __('recordings.states.' . $page->beside->recording->state->value) }}
            {{ $page->beside->recording->trouble }}</p>
        @if ($page->beside->recording->state->isWhole())
            <p class="mb-0"><a href="{{ route('recording', $page->beside->recording->id) }}">{{ __('presence.session.open') }}</a></p>
        @endif
    </x-card>
@endif
@if ($page->sum->sums['absent'] > 0)
    <x-card :title="__('presence.session.missed')">
        <p class="quiet">{{ __('presence.session.missed_hint') }}</p>
        <p class="mb-0"><a href="{{ route('missed', ['date' => $page->held->day->iso()]) }}">{{ __('presence.session.to_missed') }}</a></p>
    </x-card>
@endif
@if ($page->beside->note !== '')
    <x-card :title="__('presence.session.note')">
        <p class="mb-0 pre">{{ $page->beside->note }}</p>
    </x-card>
@endif
