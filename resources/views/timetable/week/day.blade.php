{{-- The heading and the hours of one day. day: WeekDay --}}
@if ($day->closed !== null)
    <rect class="shut" x="{{ $drawing::LEFT + $day->x }}" y="{{ $drawing->top }}" width="{{ $day->width - 6 }}"
        height="{{ $drawing->height - $drawing->top - 8 }}" />
    <text class="tick" x="{{ $drawing::LEFT + $day->x }}" y="16">{{ $day->date->parts()[2] }}</text>
    <title>{{ Say::day($day->date) }}: {{ $day->closed }}</title>
@else
    <g data-column="{{ $day->date->iso() }}" data-x="{{ $drawing::LEFT + $day->x }}" data-width="{{ $day->width - 8 }}"></g>
    <text class="head" x="{{ $drawing::LEFT + $day->x }}" y="16">{{ Say::day($day->date) }}
        @if ($day->note !== '')
            <tspan class="tick">{{ $day->note }}</tspan>
        @endif
    </text>
    @foreach ($day->hours as $line)
        <line class="hour" x1="{{ $drawing::LEFT + $line->x }}" x2="{{ $drawing::LEFT + $line->x }}" y1="{{ $drawing->top }}"
            y2="{{ $drawing->height - 8 }}" />
        @if ($line->isNamed)
            <text class="tick" x="{{ $drawing::LEFT + $line->x }}" y="34" text-anchor="middle">{{ $line->hour }}</text>
        @endif
    @endforeach
@endif
