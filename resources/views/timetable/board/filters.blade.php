{{-- Which sections are shown --}}
<nav class="end" aria-label="{{ __('board.show') }}">
    <x-pill :to="route('board')" :on="$page->isAll()">{{ __('contact.all_years') }}</x-pill>
    @foreach ($page->years as $year)
        <x-pill :to="route('board', $page->with($page->show, $year))" :on="$page->year === $year">{{ __('contact.year', ['year' =>
            $year]) }}</x-pill>
    @endforeach
    @foreach ($page->filters() as $filter)
        <x-pill :to="route('board', $page->with($filter, $page->year))" :on="$page->show === $filter"
            :n="$page->totals->of($filter)">{{ __("board.filter.$filter->value") }}</x-pill>
    @endforeach
</nav>
