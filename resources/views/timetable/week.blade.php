@php
    use Nomada\App\Support\Words;
    use Nomada\App\View\Timetable\WeekPage;
    $base = url('/sections'); $left = 110; $top = 40; $y = $top;
    $height = $top + array_sum(array_map(fn ($r) => WeekPage::ROW * $r['lanes'], $rows)) + 8;
    $last = $days[4]['date'];
@endphp
<x-app title="Timetable">
<div class="bar"><h1>Week {{ $week }}</h1><div class="sum">{{ $monday->dayMonth() }} – {{ $last->dayMonth() }} · {{ Words::count($count, 'session') }} · {{ $zone->place() }} time</div>
    <nav class="end" aria-label="Show">
        @if ($week > 1)<a class="pill" href="{{ route('timetable', ['week' => $week - 1, 'by' => $by]) }}">‹ {{ $week - 1 }}</a>@endif
        <a @class(['pill', 'on' => $week === $current]) href="{{ route('timetable', ['by' => $by]) }}">This week</a>
        @if ($week < $weeks)<a class="pill" href="{{ route('timetable', ['week' => $week + 1, 'by' => $by]) }}">{{ $week + 1 }} ›</a>@endif
        <span class="mx-2"></span><a class="pill" href="{{ route('clashes') }}">Clashes</a>
        @foreach (['teacher', 'section', 'year'] as $b)<a @class(['pill', 'on' => $by === $b]) href="{{ route('timetable', ['week' => $week, 'by' => $b]) }}">By {{ $b }}</a>@endforeach
    </nav></div>
@if ($rows === [])
    <div class="empty"><h2>No session this week</h2>{{ collect($days)->whereNotNull('reason')->pluck('reason')->unique()->implode(', ') ?: 'Nothing is planned.' }}</div>
@else
<div class="wide" tabindex="0" role="region" aria-label="The week"><svg class="grid-week mt-2" width="{{ $left + $width }}" height="{{ $height }}" viewBox="0 0 {{ $left + $width }} {{ $height }}" role="group" aria-label="Week {{ $week }}, by {{ $by }}">
    @foreach ($days as $day)
        @if ($day['reason'] !== null)
            <rect class="shut" x="{{ $left + $day['x'] }}" y="{{ $top }}" width="{{ $day['width'] - 6 }}" height="{{ $height - $top - 8 }}"/><text class="tick" x="{{ $left + $day['x'] }}" y="16">{{ $day['date']->parts()[2] }}</text><title>{{ $day['date']->short() }}: {{ $day['reason'] }}</title>
        @else
            <text class="head" x="{{ $left + $day['x'] }}" y="16">{{ $day['date']->short() }}</text>
            @for ($h = $hours[0]; $h <= $hours[1]; $h++)
                @php $hx = round($left + $day['x'] + ($h - $hours[0]) * 60 * $day['perMinute'], 1); @endphp
                <line class="hour" x1="{{ $hx }}" x2="{{ $hx }}" y1="{{ $top }}" y2="{{ $height - 8 }}"/>@if (($h - $hours[0]) % 2 === 0 && $h < $hours[1])<text class="tick" x="{{ $hx }}" y="34" text-anchor="middle">{{ $h }}</text>@endif
            @endfor
        @endif
    @endforeach
    @foreach ($rows as $name => $row)
        <line class="row-line" x1="0" x2="{{ $left + $width }}" y1="{{ $y }}" y2="{{ $y }}"/>
        <text class="who" x="0" y="{{ $y + 28 }}">{{ Str::limit($name, 17) }}</text>
        @foreach ($row['blocks'] as $b)
            @php $bx = round($left + $b['x'], 1); $by_ = $y + $b['lane'] * WeekPage::ROW + 4; $h = WeekPage::ROW - 8; $cx = round($bx + $b['width'] / 2 + 4, 1); $cy = $by_ + $h / 2; @endphp
            <a href="{{ $base }}/{{ rawurlencode($b['section']) }}?day={{ $b['day'] }}"{!! $b['past'] ? ' class="is-past"' : '' !!}><title>{{ $b['name'] }}, {{ $b['times'] }}</title><rect class="block" x="{{ $bx }}" y="{{ $by_ }}" width="{{ $b['width'] }}" height="{{ $h }}" rx="2"/><rect class="edge" x="{{ $bx }}" y="{{ $by_ }}" width="3" height="{{ $h }}"/><text class="short" x="{{ $cx }}" y="{{ $cy }}" transform="rotate(-90 {{ $cx }} {{ $cy }})" text-anchor="middle">{{ mb_substr($b['code'], 0, 6) }}</text></a>
        @endforeach
        @php $y += WeekPage::ROW * $row['lanes']; @endphp
    @endforeach
    <line class="row-line" x1="0" x2="{{ $left + $width }}" y1="{{ $y }}" y2="{{ $y }}"/>
</svg></div>
@endif
</x-app>
