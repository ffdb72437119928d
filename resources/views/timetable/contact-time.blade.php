@php
    use Nomada\App\Support\Words;
    $may = Gate::check('coordinate');
    $base = url('/sections');
@endphp
<x-app title="Contact time">
    <div class="bar">
        <h1>Contact time</h1>
        <div class="sum">{{ Words::count(count($rows), 'section') }} · {!! $short > 0 ? '<span class="todo">' . $short
            . ' short of the target</span>' : 'none short of a target' !!}</div>
        <nav class="end" aria-label="Show"><a @class(['pill', 'on' => $year === '']) href="{{ route('contact-time') }}">All years</a>
            @foreach ($years as $y)
                <a @class(['pill', 'on' => $year === $y]) href="{{ route('contact-time', ['year' => $y]) }}">Y{{ $y }}</a>
            @endforeach
            <span class="mx-1"></span><a class="pill"
                href="{{ route('contact-time.export', array_filter(['as' => 'csv', 'year' => $year])) }}">CSV</a><a class="pill"
                href="{{ route('contact-time.export', array_filter(['as' => 'xlsx', 'year' => $year])) }}">XLSX</a><a class="pill"
                href="{{ route('timetable') }}">Week</a>
        </nav>
    </div>
    @error('target')
        <p class="fault" role="alert">{{ $message }}</p>
    @enderror
    @if ($rows === [])
        <div class="empty">
            <h2>No section</h2>No section is here yet.
        </div>
    @else
        <form method="post" action="{{ route('contact-time.target') }}">@csrf @method('put')
            <table class="table-plain figures">
                <thead>
                    <tr>
                        @if ($may)
                            <th scope="col"><span class="visually-hidden">Choose</span></th>
                        @endif
                        <th scope="col">
                            Section</th>
                        <th scope="col">Held, to come, lost against the target</th>
                        <th scope="col" class="num">Planned</th>
                        <th scope="col" class="num">Held</th>
                        <th scope="col" class="num">To come</th>
                        <th scope="col" class="num">Lost</th>
                        <th scope="col" class="num">Made up</th>
                        <th scope="col" class="num">Target</th>
                        <th scope="col" class="num">Short</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($rows as $r)
                        @php
                            $t = $r['time'];
                            $s = $t->short();
                        @endphp<tr class="row-c">
                            @if ($may)
                                <td><input class="form-check-input" type="checkbox" name="sections[]" value="{{ $r['id'] }}"
                                        aria-label="Choose {{ $r['name'] }}"></td>
                            @endif
                            <td>
                                <a href="{{ $base . '/' . rawurlencode($r['id']) }}"><b>{{ $r['name'] }}</b></a>
                                <small>{{ $r['teacher'] }}</small>
                            </td>
                            <td><x-contact-bar :time="$t" :width="300" bare /></td>
                            @foreach ([$t->planned, $t->held, $t->coming, $t->lost, $t->madeUp] as $m)
                                <td class="num">{{ $m === 0 ? '–' : Words::minutes($m) }}</td>
                            @endforeach
                            <td class="num">
                                {{ $t->target === null ? '–' : Words::minutes($t->target) }}</td>
                            <td class="num {{ $s > 0 ? 'todo' : 'good' }}">{{ $s === null ? '' : ($s > 0 ? Words::minutes($s) : 'none') }}
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            @if ($may)
                <div class="tray" role="region" aria-label="What to do with the chosen sections"><b>Target of the chosen
                        sections</b><input class="form-control w-auto" name="target" aria-label="Target in hours"
                        placeholder="36 or 36:30"><span>hours</span><button class="btn btn-main">Set it</button></div>
            @endif
        </form>
    @endif
</x-app>
