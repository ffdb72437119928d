{{-- The days of a week and the rows of sessions below them, within an SVG. rows; top: where the rows begin; height; the rest is
    the week's own --}}
@php
    use Nomada\App\View\Timetable\WeekPage;
    $y = $top;
@endphp
@foreach ($days as $day)
    @if ($day['reason'] !== null)
        <rect class="shut" x="{{ $left + $day['x'] }}" y="{{ $top }}" width="{{ $day['width'] - 6 }}"
            height="{{ $height - $top - 8 }}" /><text class="tick" x="{{ $left + $day['x'] }}" y="16">{{ $day['date']->parts()[2] }}</text>
        <title>{{ $day['date']->short() }}: {{ $day['reason'] }}</title>
    @else
        <g data-column="{{ $day['date']->iso() }}" data-x="{{ $left + $day['x'] }}" data-width="{{ $day['width'] - 8 }}"></g>
        <text class="head" x="{{ $left + $day['x'] }}" y="16">{{ $day['date']->short() }}@if ($day['note'] !== '')
                <tspan class="tick">{{ $day['note'] }}</tspan>
            @endif
        </text>
        @for ($hour = $hours[0]; $hour <= $hours[1]; $hour++)
            @php $hx = round($left + $day['x'] + ($hour - $hours[0]) * 60 * $day['perMinute'], 1); @endphp
            <line class="hour" x1="{{ $hx }}" x2="{{ $hx }}" y1="{{ $top }}" y2="{{ $height - 8 }}" />
            @if (($one || ($hour - $hours[0]) % 2 === 0) && $hour < $hours[1] + ($one ? 1 : 0))
                <text class="tick" x="{{ $hx }}" y="34" text-anchor="middle">{{ $hour }}</text>
            @endif
        @endfor
    @endif
@endforeach
@if ($theirs)<text class="who theirs" x="0"
        y="50">{{ Str::limit($theirs['place'], 14) }}</text>
    @foreach ($theirs['ticks'] as $tick)
        <text class="tick theirs" x="{{ $left + $tick['x'] }}" y="50" text-anchor="middle">{{ $tick['text'] }}</text>
    @endforeach
@endif
<g class="shades" aria-hidden="true"></g>
@foreach ($rows as $name => $row)
    <line class="row-line" x1="0" x2="{{ $left + $width }}" y1="{{ $y }}" y2="{{ $y }}" />
    <text class="who" x="0" y="{{ $y + 28 }}">{{ Str::limit($name, 17) }}</text>
    @foreach ($busy[$name] ?? [] as $b)
        <rect class="blocked" x="{{ $left + $b['x'] }}" y="{{ $y + 2 }}" width="{{ $b['width'] }}"
            height="{{ WeekPage::ROW - 4 }}">
            <title>Busy: {{ $b['title'] }}</title>
        </rect>
    @endforeach
    @foreach ($row['blocks'] as $b)
        @php
            $bx = round($left + $b['x'], 1);
            $by_ = $y + $b['lane'] * WeekPage::ROW + 4;
            $cx = round($bx + $b['width'] / 2 + 4, 1);
            $cy = $by_ + $h / 2;
        @endphp
        <a href="{{ $link . $b['session'] }}"
            class="{{ $b['class'] }}{{ $chosen === $b['session'] ? ' is-chosen' : '' }}"@if ($b[
                'isMovable']) data-move="{{ $base }}/{{ rawurlencode($b['section']) }}/series/{{ $b['series'] }}/sessions/{{ $b[
                'session'] }}" data-day="{{ $b['day'] }}" data-minute="{{ $b['minute'] }}" data-minutes="{{ $b[
                'minutes'] }}" data-name="{{ $b['name'] }}" draggable="false" @endif>
            <title>{{ $b['says'] }}</title>
            <rect class="block" x="{{ $bx }}" y="{{ $by_ }}" width="{{ $b['width'] }}"
                height="{{ $h }}" rx="2" />
            <rect class="edge" x="{{ $bx }}" y="{{ $by_ }}" width="3" height="{{ $h }}" />
            @if ($one)
                <text class="short" x="{{ $bx + 8 }}"
                    y="{{ $by_ + 16 }}">{{ Str::limit($b['name'], (int) max(3, ($b['width'] - 10) / 6.6), '…') }}</text><text
                    class="tick" x="{{ $bx + 8 }}"
                y="{{ $by_ + 31 }}">{{ Str::limit($b['times'] . ($b['note'] === '' ? '' : " {$b['note']}"), (int) max(11, ($b[
                    'width'] - 10) / 5.4), '…') }}</text>@else<text
                    class="short" x="{{ $cx }}" y="{{ $cy }}"
                    transform="rotate(-90 {{ $cx }} {{ $cy }})" text-anchor="middle"
                    @if (mb_strlen($b['code']) > 6) textLength="{{ $h - 3 }}" lengthAdjust="spacingAndGlyphs" @endif>{{ mb_substr($b[
                        'code'], 0, 8) }}</text>
                @endif @if ($b['wrong'] !== null)
                    <path class="cross" d="M{{ $bx + $b['width'] / 2 - 3.5 }} {{ $by_ - 4 }}l7 7m0-7l-7 7" />
                @elseif ($b['kind'] !== '')
                    <path class="dia" d="M{{ $bx + $b['width'] / 2 }} {{ $by_ - 5 }}l5 5l-5 5l-5-5z" />
                @endif
        </a>
    @endforeach
    @php $y += WeekPage::ROW * $row['lanes']; @endphp
@endforeach
<line class="row-line" x1="0" x2="{{ $left + $width }}" y1="{{ $y }}" y2="{{ $y }}" />
