{{-- A week as it is printed: as many sheets as it takes, each with its headings. sheets: rows of each; the rest is the week's own --}}
@php
    use Nomada\App\View\Timetable\WeekPage;
    $base = url('/sections');
    $left = 110;
    $top = 40;
    $h = WeekPage::ROW - 8;
    $chosen = 0;
    $theirs = null;
    $last = $days[count($days) - 1]['date'];
    $link = route('timetable', ['week' => $week, 'by' => $by] + $filter->query()) . '&session=';
@endphp
<x-app :title="__('week.sheets.title')">
    <x-page-head :title="__('week.sheets.title')" :sum="trans_choice('week.sheets.sum', count($sheets))">
        <button class="pill" type="button" x-data="printer" x-on:click="print">{{ __('week.sheets.print') }}</button>
        <a class="pill" href="{{ route('timetable', ['week' => $week, 'by' => $by] + $filter->query()) }}">{{ __('week.sheets.back') }}</a>
    </x-page-head>
    @forelse ($sheets as $n => $rows)
        <section class="sheet print-wide">
            <h2>{{ __('week.sheets.head', [
                'week' => $week,
                'days' => $monday->dayMonth() . ' – ' . $last->dayMonth(),
                'by' => __("week.sheets.by.$by"),
                'zone' => $zone->place(),
            ]) }}
                <small class="quiet">{{ count($sheets) > 1 ? __('week.sheets.of', ['n' => $n + 1, 'all' => count($sheets)]) : '' }}</small>
            </h2>
            @php $height = $top + WeekPage::height($rows) + 8; @endphp
            <svg class="grid-week" width="{{ $left + $width }}" height="{{ $height }}"
                viewBox="0 0 {{ $left + $width }} {{ $height }}" role="group"
                aria-label="{{ __('week.sheets.of', ['n' => $n + 1, 'all' => count($sheets)]) }}">
                @include('timetable.week.drawing')
            </svg>
        </section>
    @empty
        <x-empty :title="__('week.none')">{{ __('week.none_hint') }}</x-empty>
    @endforelse
</x-app>
