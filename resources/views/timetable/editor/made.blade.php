{{-- What it makes, worked out while it is typed, and times that are free for it --}}
<div class="made">
    <h3>{{ __('series.made.title') }}</h3>
    <x-live-faults :of="['form']" />
    <div x-ref="made" aria-live="polite" class="quiet">{{ __('series.made.nothing') }}</div>
    @if ($editor->free !== [])
        <h3 class="mt-3">
            {{ trans_choice('series.made.free', $editor->students, ['teachers' => implode(', ', $editor->teachers)]) }}</h3>
        <ul class="free" aria-label="{{ __('session.free') }}">
            @foreach ($editor->free as $free)
                <x-free-time :$free><button type="button" class="btn btn-side py-0" data-free="{{ $free->minutes }}"
                        data-period="{{ $free->period }}"
                        aria-label="{{ __('session.take_this', ['time' => $free->words]) }}">{{ __('session.take') }}</button>
                </x-free-time>
            @endforeach
        </ul>
        <p class="small mb-0">{{ __('series.made.free_hint') }}</p>
    @endif
</div>
