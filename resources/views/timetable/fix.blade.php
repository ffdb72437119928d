@props(['page'])
<x-app :title="$page->words('title')">
    <div class="bar">
        <h1>{{ $page->words('title') }}</h1>
        <div class="sum">{{ $page->sum() }}
            @if ($page->answer !== null && !$page->isLooking() && $page->answer->moves !== [])
                · <b class="{{ $page->answer->isClear() ? 'good' : 'todo' }}">{{ $page->answer->headline() }}</b>
                · {{ __('fix.looked', ['seconds' => number_format($page->seconds, 1)]) }}
            @endif
        </div>
        <nav class="end" aria-label="{{ $page->words('title') }}">
            <x-pill :to="route('fix', 'fix')" :on="!$page->isPlacing()">{{ __('fix.fix.title') }}</x-pill>
            <x-pill :to="route('fix', 'place')" :on="$page->isPlacing()" :n="count($page->toPlace)">{{ __('fix.place.title') }}</x-pill>
            <x-pill :to="route('why-not')">{{ __('fix.why.title') }}</x-pill>
            <x-pill :to="route('drafts')">{{ __('drafts.title') }}</x-pill>
            <x-pill :to="route('clashes')">{{ __('clashes.title') }}</x-pill>
        </nav>
    </div>
    <x-faults class="fault" :of="[
        'answer',
        'from',
        'open',
        'close',
        'grid',
        'students',
        'scope',
        'pins',
        'hours',
        'own_open',
        'own_close',
        'own_hours',
        'pause',
        'students_daily',
        'teachers_daily',
        'off_person',
        'off_weekday',
        'accounts',
        'if_open',
        'if_close',
    ]" />
    <div class="fix">
        <div>
            @foreach ($page->isLooking() ? [] : $page->supposed as $words)
                <p class="todo">{{ $words }}</p>
            @endforeach
            @if ($page->isLooking())
                <div class="empty" role="status" x-data="comeback">
                    <h2>{{ $page->words('looking') }}</h2>{{ __('fix.looking_hint', ['seconds' => (int) $page->seconds]) }}
                    <x-act :to="route('fix.stop', $page->run)" class="btn-side mt-2" :do="__('fix.stop')" />
                </div>
            @elseif ($page->state?->value === 'failed')
                <p class="fault" role="alert">{{ __('fix.failed') }}</p>
            @elseif ($page->isPlacing() && $page->toPlace === [])
                <x-empty :title="__('fix.place.nothing')">{{ __('fix.place.nothing_hint') }}</x-empty>
            @elseif ($page->answer === null)
                <x-empty :title="__('fix.none')">{{ $page->words('none_hint') }}</x-empty>
            @elseif (!$page->isPlacing() && $page->answer->moves === [] && $page->answer->isClear())
                <x-empty :title="__('fix.fix.nothing')">{{ __('fix.fix.nothing_hint', ['day' => Say::day(
                    $page->question->from)]) }}</x-empty>
            @endif
            @if ($page->answer !== null && !$page->isLooking() && !($page->isPlacing() && $page->toPlace === []))
                @include('timetable.fix.answer', ['answer' => $page->answer])
            @endif
            @if ($page->isPlacing() && ($page->answer === null || $page->isLooking()))
                @include('timetable.fix.to-place')
            @endif
            @include('timetable.fix.question')
        </div>
        <div>
            @if ($page->drawing !== null && !$page->isLooking())
                @include('timetable.fix.drawing', ['drawing' => $page->drawing])
                <dl class="fix-sums">
                    @foreach ($page->answer->sums as $sum)
                        <div>
                            <dt>{{ $sum['words'] }}</dt>
                            <dd><span class="quiet">{{ $sum['before'] }}</span> → <b class="{{ $sum['tone'] }}">{{ $sum['after'] }}</b>
                            </dd>
                        </div>
                    @endforeach
                </dl>
            @endif
        </div>
    </div>
</x-app>
