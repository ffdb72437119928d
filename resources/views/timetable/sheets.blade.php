{{-- A week as it is printed: as many sheets as it takes, each with its headings. page: WeekSheets; here: the week in an
    address; the rest is the week's own --}}
<x-app :title="__('week.sheets.title')">
    <x-page-head :title="__('week.sheets.title')" :sum="trans_choice('week.sheets.sum', count($page->sheets))">
        <button class="pill" type="button" x-data="printer" x-on:click="print">{{ __('week.sheets.print') }}</button>
        <a class="pill" href="{{ route('timetable', $here) }}">{{ __('week.sheets.back') }}</a>
    </x-page-head>
    @forelse ($page->sheets as $n => $rows)
        <section class="sheet print-wide">
            <h2>{{ __('week.sheets.head', [
                'week' => $week,
                'days' => $monday->dayMonth() . ' – ' . collect($days)->last()['date']->dayMonth(),
                'by' => __("week.sheets.by.$by"),
                'zone' => $zone->place(),
            ]) }}
                <small class="quiet">
                    {{ count($page->sheets) > 1 ? __('week.sheets.of', ['n' => $n + 1, 'all' => count($page->sheets)]) : '' }}
                </small>
            </h2>
            <svg class="grid-week" width="{{ $left + $width }}" height="{{ $page->height($rows) }}"
                viewBox="0 0 {{ $left + $width }} {{ $page->height($rows) }}" role="group"
                aria-label="{{ __('week.sheets.of', ['n' => $n + 1, 'all' => count($page->sheets)]) }}">
                @include('timetable.week.drawing', [
                    'height' => $page->height($rows),
                    'link' => route('timetable', $here) . '&session=',
                ])
            </svg>
        </section>
    @empty
        <x-empty :title="__('week.none')">{{ __('week.none_hint') }}</x-empty>
    @endforelse
</x-app>
