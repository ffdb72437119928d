@php use Nomada\App\Support\Words; @endphp
<x-app title="Today">
    <div class="bar">
        <h1>{{ $isToday ? 'Today' : '' }} {{ $date->short() }}</h1>
        <div class="sum">{{ $closed ?? Words::count(count($rows), 'session') }} · {{ $zone->place() }} time</div>
        <nav class="end" aria-label="Day"><a class="pill" href="{{ route('today', ['date' => $date->plus(-1)->iso()]) }}">‹
                {{ $date->plus(-1)->short() }}</a>
            @unless ($isToday)
                <a class="pill" href="{{ route('today') }}">Today</a>
            @endunless
            <a class="pill" href="{{ route('today', ['date' => $date->plus(1)->iso()]) }}">
                {{ $date->plus(1)->short() }} ›</a>
            @if ($mine->isNotEmpty())
                @include('presence.start', ['sections' => $mine])
            @endif
        </nav>
    </div>
    @if ($rows === [])
        <div class="empty">
            <h2>{{ $closed ?? 'No session' }}</h2>{{ $closed ? 'School is closed on this day.' : 'Nothing is planned for this day.' }}
        </div>
    @else
        <table class="departures">
            <thead>
                <tr>
                    <th scope="col">Time</th>
                    <th scope="col">Section</th>
                    <th scope="col">Teacher</th>
                    <th scope="col">Doors</th>
                    <th scope="col">Registered</th>
                    <th scope="col">{{ __('presence.today.inside') }}</th>
                    <th scope="col"><span class="visually-hidden">Live</span></th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $row)
                    <tr @class(['is-over' => $row['isOver']])>
                        <td class="time">{{ $row['time'] }} <small class="quiet">–{{ $row['end'] }}</small></td>
                        <td><a href="{{ route('section', [$row['id'], 'day' => $date->iso()]) }}">{{ $row['name'] }}</a></td>
                        <td>{{ $row['teacher'] }}</td>
                        <td class="{{ ['open' => 'good', 'wrong' => 'bad', 'shut' => '', 'over' => ''][$row['doors'][1]] }}">
                            {{ $row['doors'][0] }}</td>
                        <td>{{ $row['registered'] }}</td>
                        <td>{{ $row['inside'] }}</td>
                        <td>
                            @if ($row['isOver'])
                                <a href="{{ route('attendance.session', [$row['id'], $row['session']]) }}"
                                    aria-label="{{ __('attendance.student.page') }}: {{ $row['name'] }}, {{ $row['time'] }}">{{ __(
                                        'attendance.student.page') }}</a>
                            @elseif ($row['live'])
                                <a href="{{ route('live', $row['live']) }}"
                                    aria-label="Live desk of {{ $row['name'] }}, {{ $row['time'] }}">Live desk</a>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-app>
