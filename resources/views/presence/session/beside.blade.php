{{-- The recording, the notes, and who missed it. page: SessionPage --}}
@if ($page->recording !== null)
    <x-card :title="__('presence.session.recording')">
        <p @class(['ok' => $page->recording->state->value === 'released'])>{{ __('recordings.states.' . $page->recording->state->value) }}
            {{ $page->recording->trouble }}</p>
        @if ($page->recording->state->isWhole())
            <p class="mb-0"><a href="{{ route('recording', $page->recording->id) }}">{{ __('presence.session.open') }}</a></p>
        @endif
    </x-card>
@endif
@if ($page->sums['absent'] > 0)
    <x-card :title="__('presence.session.missed')">
        <p class="quiet">{{ __('presence.session.missed_hint') }}</p>
        <p class="mb-0"><a href="{{ route('missed', ['date' => $page->held->day->iso()]) }}">{{ __('presence.session.to_missed') }}</a></p>
    </x-card>
@endif
@if ($page->note !== '')
    <x-card :title="__('presence.session.note')">
        <p class="mb-0 pre">{{ $page->note }}</p>
    </x-card>
@endif
