{{-- A week as it is printed: as many sheets as it takes, each with its headings. page: SheetsPage --}}
@props(['page'])
<x-app :title="__('week.sheets.title')">
    <x-page-head :title="__('week.sheets.title')" :sum="trans_choice('week.sheets.sum', count($page->sheets))">
        <button class="pill" type="button" x-data="printer" x-on:click="print">{{ __('week.sheets.print') }}</button>
        <x-pill :to="route('timetable', $page->week->address())">{{ __('week.sheets.back') }}</x-pill>
    </x-page-head>
    @forelse ($page->sheets as $n => $drawing)
        <section class="sheet print-wide">
            <h2>{{ __('week.sheets.head', [
                'week' => $page->week->week,
                'days' => Say::dayMonth($page->week->monday) . ' – ' . Say::dayMonth($page->week->last()),
                'by' => __("week.sheets.by.{$page->week->by}"),
                'zone' => Say::place($page->week->term->zone),
            ]) }}
                <small class="quiet">
                    {{ count($page->sheets) > 1 ? __('week.sheets.of', ['n' => $n + 1, 'all' => count($page->sheets)]) : '' }}
                </small>
            </h2>
            <svg class="grid-week" width="{{ $drawing->width }}" height="{{ $drawing->height }}"
                viewBox="0 0 {{ $drawing->width }} {{ $drawing->height }}" role="group"
                aria-label="{{ __('week.sheets.of', ['n' => $n + 1, 'all' => count($page->sheets)]) }}">
                @include('timetable.week.drawing', ['link' => route('timetable') . $page->week->opens()])
            </svg>
        </section>
    @empty
        <x-empty :title="__('week.none')">{{ __('week.none_hint') }}</x-empty>
    @endforelse
</x-app>
