{{-- A session that is not held, at another time: one that is free, or any --}}
<div>
    <h3>{{ __('session.make_up.title') }}</h3>
    @if ($panel->makeUps === [])
        <p class="quiet">{{ __('session.make_up.none') }}</p>
    @else
        <ul class="free" aria-label="{{ __('session.free') }}">
            @foreach ($panel->makeUps as $free)
                <x-free-time :$free>
                    <x-act :to="route('session.add', [$panel->section, $panel->series])" :with="[
                        'makes_up' => $panel->session->id,
                        'move_day' => $free->day,
                        'move_start' => $free->start,
                        'move_end' => $free->end,
                    ]" class="btn-side py-0" :do="__('session.take')" :about="$free->words" />
                </x-free-time>
            @endforeach
        </ul>
    @endif
</div>
<div>
    <h3>{{ __('session.make_up.other') }}</h3>
    <form method="post" action="{{ route('session.add', [$panel->section, $panel->series]) }}">@csrf
        <input type="hidden" name="makes_up" value="{{ $panel->session->id }}">
        <div class="inline mb-2">
            <x-date name="move_day" :min="$panel->first" :max="$panel->last" :label="__('session.day')" />
            <x-from-to :from="$panel->start" :to="$panel->end" />
        </div>
        <x-faults :of="['move_day', 'move_start', 'move_end', 'makes_up']" />
        @include('timetable.panel.why')
        <button class="btn btn-main mt-2">{{ __('session.make_up.do') }}</button>
    </form>
    @if ($panel->mayHoldAfterAll())
        <div class="mt-3">@include('timetable.panel.restore')</div>
    @endif
</div>
