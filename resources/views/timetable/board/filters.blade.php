{{-- Which sections are shown --}}
<nav class="end" aria-label="{{ __('board.show') }}">
    <x-pill :to="route('board')" :on="$page->show === '' && $page->year === ''">{{ __('contact.all_years') }}</x-pill>
    @foreach ($page->years as $year)
        <x-pill :to="route('board', $page->with($page->show, $year))" :on="$page->year === $year">{{ __('contact.year', ['year' =>
            $year]) }}</x-pill>
    @endforeach
    <x-pill :to="route('board', $page->with('snags', $page->year))" :on="$page->show === 'snags'" :n="$page->totals->snags">{{ __(
        'board.has_snags') }}</x-pill>
    <x-pill :to="route('board', $page->with('unpublished', $page->year))" :on="$page->show === 'unpublished'"
        :n="$page->totals->unpublished">{{ __('board.unpublished') }}</x-pill>
</nav>
