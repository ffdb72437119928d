{{-- Another day or time, and how far that goes --}}
<form method="post" action="{{ route('session.move', [$panel->section, $panel->series, $panel->session]) }}" x-data="mover"
    data-look="{{ route('session.look', [$panel->section, $panel->series, $panel->session]) }}">@csrf
    @method('put')
    <x-drawn :of="'place:' . $panel->session->id" />
    @foreach ($back as $name => $value)
        <input type="hidden" name="{{ $name }}" value="{{ $value }}">
    @endforeach
    <h3>{{ __('session.move.title') }}</h3>
    <div class="inline mb-2">
        <x-date name="move_day" :value="$panel->session->day" :min="$panel->first" :max="$panel->last" :label="__('session.day')" />
        <x-from-to :from="$panel->start" :to="$panel->end" />
    </div>
    <x-live-faults :of="['move_day', 'move_start', 'move_end', 'reach']" />
    <div x-ref="made" aria-live="polite">
        @if ($panel->reaches() === [])
            <input type="hidden" name="reach" value="this">
        @else
            <fieldset class="reaches">
                <legend>{{ __('session.move.reach') }}</legend>
                @foreach ($panel->reaches() as $reach)
                    <label class="reach"><input class="form-check-input" type="radio" name="reach" value="{{ $reach->value }}"
                            @checked($loop->first)><span><b>{{ ucfirst(Say::this($reach->said())) }}</b></span></label>
                @endforeach
            </fieldset>
        @endif
    </div>
    @include('timetable.panel.why')
    <button class="btn btn-main mt-2">{{ __('session.move.do') }}</button>
    @if ($panel->free !== [])
        <h3 class="mt-3">{{ __('session.move.free') }}</h3>
        <ul class="free" aria-label="{{ __('session.free') }}">
            @foreach ($panel->free as $free)
                <x-free-time :$free><button type="button" class="btn btn-side py-0"
                        data-take="{{ $free->day }} {{ $free->start }} {{ $free->end }} later"
                        aria-label="{{ __('session.take_this', ['time' => $free->words]) }}">{{ __('session.take') }}</button>
                </x-free-time>
            @endforeach
        </ul>
    @endif
</form>
