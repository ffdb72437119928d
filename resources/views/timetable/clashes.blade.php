@php
    use Nomada\App\Support\Words;
    $base = url('/sections');
    $open = array_sum($kinds) - ($kinds['accepted'] ?? 0);
@endphp
<x-app title="Clashes">
    <div class="bar">
        <h1>Clashes</h1>
        <div class="sum">
            {{ $open === 0
                ? 'nobody is in two places'
                : Words::count(array_sum(array_intersect_key($kinds, array_flip(\Nomada\App\View\Timetable\ClashList::GRAVE))), 'clash',
                    'clashes') .
                    ', ' .
                    Words::count(($kinds['turnaround'] ?? 0) + ($kinds['hours'] ?? 0) + ($kinds['outside'] ?? 0), 'piece') .
                    ' of advice' }}
        </div>
        <nav class="end" aria-label="Show">
            <a @class(['pill', 'on' => $show === '']) href="{{ route('clashes') }}">All {{ $open }}</a>
            @foreach (['teacher' => 'Teachers', 'students' => 'Students', 'account' => 'Accounts', 'room' => 'Rooms', 'long' => 'Too long',
                'full' => 'Too full', 'turnaround' => 'Pauses', 'hours' => 'Own hours', 'outside' => 'Outside', 'accepted' =>
                'Accepted'] as $kind => $label)
                @continue(!in_array($kind, ['teacher', 'students', 'accepted'], true) && ($kinds[$kind] ?? 0) === 0
                    && $show !== $kind)<a @class(['pill', 'on' => $show === $kind])
                    href="{{ route('clashes', ['show' => $kind]) }}">{{ $label }}
                    {{ $kinds[$kind] ?? 0 }}</a>
            @endforeach
            <a class="pill" href="{{ route('timetable') }}">Week</a>
        </nav>
    </div>
    @error('reason')
        <p class="fault" role="alert">{{ $message }}</p>
    @enderror
    @if ($rows === [])
        <div class="empty">
            <h2>{{ $show === 'accepted' ? 'None is accepted' : 'Nothing clashes' }}</h2>
            {{ $show === 'accepted'
                ? 'A clash that can stay is accepted with a reason, and is then listed here.'
                : 'Every teacher and every student is in one place at a time.' }}
        </div>
    @else
        <table class="table-plain">
            <thead>
                <tr>
                    <th scope="col">How grave</th>
                    <th scope="col">Who</th>
                    <th scope="col">Between</th>
                    <th scope="col">When</th>
                    <th scope="col">Ways out</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($rows as $row)
                    <tr>
                        <td class="{{ ['hard' => 'bad', 'soft' => 'todo', 'advice' => 'quiet'][$row->gravity] }} nowrap">
                            {{ $row->gravity }}</td>
                        <td>{{ $row->words() }}@if ($row->reason)
                                <br><small>accepted{{ $row->by ? " by $row->by" : '' }}: {{ $row->reason }}</small>
                            @endif
                        </td>
                        <td>
                            @foreach ($row->sections as $id => $name)
                                <a
                                    href="{{ $base . '/' . rawurlencode($id) }}"><b>{{ $name }}</b></a>{{ $loop->last ? '' : ' and ' }}
                            @endforeach
                        </td>
                        <td>{{ $row->dates }} <small>({{ Words::count($row->days, 'day') }})</small></td>
                        <td>
                            @can('coordinate')
                                @foreach (array_keys($row->sections) as $i => $id)
                                    <a class="me-2 nowrap" href="{{ $base . '/' . rawurlencode($id) }}?change={{ $row->series[$i] }}">Move
                                        {{ $row->sections[$id] }}</a>
                                    @if ($row->firstDay && !in_array($row->kind, ['long', 'full'], true))
                                        <a class="me-2 nowrap"
                                            href="{{ $base . '/' . rawurlencode($id) }}?day={{ $row->firstDay }}#session">only
                                            {{ \Nomada\Core\Term\LocalDate::parse($row->firstDay)->dayMonth() }}</a>
                                    @endif
                                    @endforeach @if (in_array($row->kind, ['account', 'long', 'full'], true))
                                        <a class="me-2 nowrap" href="{{ route('licences') }}">Licences</a>
                                    @endif
                                    @if ($row->reason)
                                        <form class="d-inline" method="post" action="{{ route('clashes.reopen') }}">@csrf
                                            @method('delete')<input type="hidden" name="key" value="{{ $row->key }}"><button
                                                class="btn btn-plain py-0">Count it again</button></form>
                                    @else<details class="d-inline-block">
                                            <summary class="quiet">Accept…</summary>
                                            <form class="d-flex gap-2 mt-1" method="post" action="{{ route('clashes.accept') }}">@csrf<input
                                                    type="hidden" name="key" value="{{ $row->key }}"><input class="form-control"
                                                    name="reason" maxlength="200" aria-label="Why this clash can stay"
                                                    placeholder="Why it can stay"><button class="btn btn-side">Accept</button></form>
                                        </details>
                                    @endif
                                @endcan
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-app>
