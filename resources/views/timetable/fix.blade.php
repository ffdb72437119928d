@props(['page'])
<x-app :title="__('fix.title')">
    <div class="bar">
        <h1>{{ __('fix.title') }}</h1>
        <div class="sum">{{ trans_choice('fix.sum', $page->clashes) }}
            @if ($page->answer !== null && !$page->isLooking() && $page->answer->moves !== [])
                · <b class="{{ $page->answer->isClear() ? 'good' : 'todo' }}">{{ $page->answer->headline() }}</b>
                · {{ __('fix.looked', ['seconds' => number_format($page->seconds, 1)]) }}
            @endif
        </div>
        <nav class="end" aria-label="{{ __('fix.title') }}">
            <x-pill :to="route('clashes')">{{ __('clashes.title') }}</x-pill>
            <x-pill :to="route('timetable')">{{ __('licences.week') }}</x-pill>
        </nav>
    </div>
    <x-faults class="fault" :of="['answer', 'from', 'open', 'close', 'grid', 'students', 'scope', 'pins', 'hours']" />
    <div class="fix">
        <div>
            @if ($page->isLooking())
                <div class="empty" role="status" x-data="comeback">
                    <h2>{{ __('fix.looking') }}</h2>{{ __('fix.looking_hint', ['seconds' => (int) $page->seconds]) }}
                    <x-act :to="route('fix.stop', $page->run)" class="btn-side mt-2" :do="__('fix.stop')" />
                </div>
            @elseif ($page->state?->value === 'failed')
                <p class="fault" role="alert">{{ __('fix.failed') }}</p>
            @elseif ($page->state === null)
                <x-empty :title="__('fix.none')">{{ __('fix.none_hint') }}</x-empty>
            @elseif ($page->answer === null || ($page->answer->moves === [] && $page->answer->isClear()))
                <x-empty :title="__('fix.nothing')">{{ __('fix.nothing_hint', ['day' => Say::day($page->question->from)]) }}</x-empty>
            @endif
            @if ($page->answer !== null && !$page->isLooking())
                @include('timetable.fix.answer', ['answer' => $page->answer])
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
