{{-- The days of a week and the rows of sessions below them, within an SVG. drawing: WeekDrawing; link: where a session opens, up to its id;
    chosen: the one that is open --}}
@props(['drawing', 'link', 'chosen' => 0])
@foreach ($drawing->days as $day)
    @include('timetable.week.day')
@endforeach
@if ($drawing->clock !== null)
    <text class="who theirs" x="0" y="50">{{ Str::limit($drawing->clock->place, 14) }}</text>
    @foreach ($drawing->clock->ticks as $words => $x)
        <text class="tick theirs" x="{{ $drawing::LEFT + $x }}" y="50" text-anchor="middle">{{ trim($words) }}</text>
    @endforeach
@endif
<g class="shades" aria-hidden="true"></g>
@foreach ($drawing->rows as $placed)
    <line class="row-line" x1="0" x2="{{ $drawing->width }}" y1="{{ $placed->y }}" y2="{{ $placed->y }}" />
    <text class="who" x="0" y="{{ $placed->y + 28 }}">{{ Str::limit($placed->row->name, 17) }}</text>
    @foreach ($placed->row->busy as $span)
        <rect class="blocked" x="{{ $drawing::LEFT + $span->x }}" y="{{ $placed->y + 2 }}" width="{{ $span->width }}"
            height="{{ $placed->row::HEIGHT - 4 }}">
            <title>{{ __('week.busy', ['title' => $span->title]) }}</title>
        </rect>
    @endforeach
    <g @class(['up' => !$drawing->isDay]) transform="translate({{ $drawing::LEFT }} {{ $placed->y + 4 }})"
        data-y="{{ $placed->y + 4 }}">
        <x-tight>
            @include('timetable.week.blocks', ['blocks' => $placed->row->blocks])
        </x-tight>
    </g>
@endforeach
<line class="row-line" x1="0" x2="{{ $drawing->width }}" y1="{{ $drawing->end }}" y2="{{ $drawing->end }}" />
