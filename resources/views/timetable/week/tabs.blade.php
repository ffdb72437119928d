{{-- Which week or day, how, and what of it --}}
<nav class="end" aria-label="{{ __('week.show_what') }}">
    @if ($page->one === null)
        @if ($page->week > 1)
            <x-pill :to="route('timetable', $page->toWeek($page->week - 1))">‹ {{ $page->week - 1 }}</x-pill>
        @endif
        @if ($page->week < $page->weeks())
            <x-pill :to="route('timetable', $page->toWeek($page->week + 1))">{{ $page->week + 1 }} ›</x-pill>
        @endif
    @else
        @if ($page->hasDay(-1))
            <a class="pill" href="{{ route('timetable', $page->toDay(-1)) }}" aria-label="{{ __('week.day_before') }}">‹</a>
        @endif
        @if ($page->hasDay(1))
            <a class="pill" href="{{ route('timetable', $page->toDay(1)) }}" aria-label="{{ __('week.day_after') }}">›</a>
        @endif
    @endif
    <x-pill :to="route('timetable', $page->toWeek($page->week))" :on="$page->one === null">{{ __('week.whole_week') }}</x-pill>
    <x-pill :to="route('timetable', $page->toDay())" :on="$page->one !== null">{{ __('week.one_day') }}</x-pill>
    <span class="mx-1"></span>
    @foreach (__('week.by') as $by => $words)
        <x-pill :to="route('timetable', ['by' => $by] + $page->address())" :on="$page->by === $by">{{ $words }}</x-pill>
    @endforeach
    <span class="mx-1"></span>
    @include('timetable.week.filter', ['filter' => $page->filter, 'years' => $page->years, 'keep' => $page->here()])
    <x-timetable-more week />
</nav>
