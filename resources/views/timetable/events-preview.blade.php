@php
    use Nomada\App\Support\Words;
    use Nomada\App\View\Timetable\EventImport;
    use Nomada\Core\Term\LocalDate;
@endphp
<x-app title="Read calendars">
    <div class="bar">
        <h1>{{ Str::limit($name, 40) }}</h1>
        <div class="sum">{{ Words::count(count($rows) + $more, 'event') }} · {{ $matched }} matched by code · <span
                @class(['bad' => $faults !== []])>{{ $faults === [] ? 'no faults' : Words::count(count($faults),
                    'fault') }}</span>{{ $teacher ? ' · ' . $teacher->name() . '\'s' : '' }}
        </div>
    </div>
    @if ($faults !== [])
        <table class="table-plain mb-3">
            <thead>
                <tr>
                    <th scope="col"></th>
                    <th scope="col">Line</th>
                    <th scope="col">Property</th>
                    <th scope="col">Expected</th>
                    <th scope="col">Found</th>
                </tr>
            </thead>
            <tbody>
                @foreach (array_slice($faults, 0, 100) as $f)
                    <tr>
                        <td class="{{ $f->warning ? 'todo' : 'bad' }}">{{ $f->warning ? 'warning' : 'fault' }}</td>
                        <td class="num">{{ $f->line ?: '' }}</td>
                        <td>{{ $f->column }}</td>
                        <td>{{ $f->expected }}</td>
                        <td class="mono">{{ Str::limit($f->found, 80) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
    @if ($rows === [])
        <div class="empty">
            <h2>No event of this term in it</h2><a href="{{ route('events') }}">Choose another file</a>
        </div>
    @else
        <form method="post" action="{{ route('events.take', $key) }}">@csrf
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col">Event</th>
                        <th scope="col">When</th>
                        <th scope="col">What it makes</th>
                        <th scope="col">Taken as</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $i => $row)
                        @php $e = $row['event']; @endphp
                        <tr>
                            <td><b>{{ $e->summary === '' ? 'without a summary' : Str::limit($e->summary, 60) }}</b>
                                @if ($e->categories !== [])
                                    <br><small>{{ implode(', ', array_slice($e->categories, 0, 4)) }}</small>
                                @endif
                            </td>
                            <td>{{ $e->plan?->sentence() ?? 'whole days' }}@if ($e->plan && $e->plan->zone->name !== $teacher?->time_zone)
                                    <br><small>{{ $e->plan->zone->place() }} time</small>
                                @endif
                            </td>
                            <td>{{ $e->plan
                                ? Words::count($row['held'], 'session') . ($row['lost'] > 0 ? ", {$row['lost']} lost" : '')
                                : Words::count(count($e->sessions), 'day') }}
                                @foreach ($e->warnings as $w)
                                    <br><small class="todo">{{ $w }}</small>
                                    @endforeach @if ($row['state'] !== 'new')
                                        <br><small>{{ $row['state'] === 'same' ? 'here already, the same'
                                            : 'changes the series that it made' }}</small>
                                    @endif
                            </td>
                            <td><select class="form-select w-auto" name="choice[{{ $i }}]"
                                    aria-label="Taken as: {{ $e->summary }}">
                                    @if ($e->plan)
                                        @foreach ($row['candidates'] as $s)
                                            <option value="{{ $s->sourced_id }}" @selected($row['choice'] === $s->sourced_id)>
                                                {{ $s->name() }}</option>
                                            @endforeach @foreach ($sections->whereNotIn('id', array_map(fn($s) => $s->id, $row[
                                                'candidates'])) as $s)
                                                <option value="{{ $s->sourced_id }}">{{ $s->name() }}</option>
                                            @endforeach
                                            @endif @if ($teacher)
                                                <option value="{{ EventImport::BUSY }}" @selected($row[
                                                    'choice'] === EventImport::BUSY)>busy time of
                                                    {{ $teacher->shortName() }}</option>
                                            @endif
                                            <option value="{{ EventImport::LEAVE }}" @selected($row['choice'] === EventImport::LEAVE)>
                                                {{ count($row['candidates']) > 1 ? 'choose: ' . count($row['candidates'])
                                                    . ' sections have this code' : 'leave it out' }}
                                            </option>
                                </select></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @if ($more > 0)
                <p class="quiet">{{ Words::count($more, 'more event') }} are not shown and not taken. Read the file in parts.</p>
            @endif
            <div class="mt-3"><button class="btn btn-main">Take them so</button> <a class="btn btn-side"
                    href="{{ route('events') }}">Choose another file</a></div>
        </form>
    @endif
</x-app>
