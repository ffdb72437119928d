@php
    use Nomada\App\Support\Words;
    use Nomada\App\View\Timetable\LicencePage;
    $fault = fn(string ...$fields) => collect($fields)->map(fn($f) => $errors->first($f))->filter()->implode(' ');
    $left = $isLater ? 0 : $assignment->leftOver();
    $n = count($accounts);
    $base = url('/sections');
@endphp
<x-app title="Licences">
    <div class="bar">
        <h1>Licences</h1>
        <div class="sum">
            @if ($isLater)
                being worked out
            @else
                at most {{ Words::count($peak['n'], 'session') }} at one
                time{{ $peakWords ? " ($peakWords" . ($peak['times'] > 1 ? ', ' . $peak['times'] . ' times' : '') . ')' : '' }} ·
                {{ trans_choice('licences.suffice', array_sum($fewest), ['which' => LicencePage::which($fewest)]) }} ·
                <span
                    class="{{ $capacity < $peak['n'] ? 'bad' : 'good' }}">{{ $n === 0 ? 'none is known yet' : 'there ' . ($n === 1 ? 'is 1'
                        : "are $n") }}</span>
            @endif
        </div>
        <nav class="end" aria-label="Show"><a class="pill" href="{{ route('clashes', ['show' => 'account']) }}">Account clashes</a><a
                class="pill" href="{{ route('timetable') }}">Week</a></nav>
    </div>
    @if ($isLater)
        <div class="empty" role="status" x-data="comeback">
            <h2>{{ number_format($series) }} sessions are being worked out</h2>That takes some seconds, once; this page looks again by
            itself. <a href="{{ route('licences') }}">Look again</a>
        </div>
    @elseif ($series === 0)
        <div class="empty">
            <h2>No session yet</h2>Once sections are timetabled, it is shown here how many run at one time.
        </div>
    @else
        <svg class="curve mt-2" width="{{ LicencePage::WIDTH }}" height="{{ LicencePage::HEIGHT + 44 }}"
            viewBox="0 -22 {{ LicencePage::WIDTH }} {{ LicencePage::HEIGHT + 44 }}" role="img"
            aria-label="Sessions at one time over the week, at most {{ $peak['n'] }}">
            @foreach ($curve['levels'] as $l)
                <line class="level" x1="30" x2="{{ LicencePage::WIDTH - 14 }}" y1="{{ $l['y'] }}"
                    y2="{{ $l['y'] }}" /><text class="tick" x="22" y="{{ $l['y'] + 4 }}"
                    text-anchor="end">{{ $l['n'] }}</text>
            @endforeach
            @foreach ($curve['days'] as $d)
                <text class="head" x="{{ $d['x'] }}" y="-8">{{ $d['name'] }} <tspan class="tick">at most {{ $d['most'] }}
                    </tspan></text>
            @endforeach
            @foreach ($curve['hours'] as $h)
                <text class="tick" x="{{ $h['x'] }}" y="{{ LicencePage::HEIGHT + 16 }}"
                    text-anchor="middle">{{ $h['text'] }}</text>
            @endforeach
            <path class="run" d="{{ $curve['path'] }}" />
            @if ($curve['capacity'] !== null)
                <line class="cap" x1="30" x2="{{ LicencePage::WIDTH - 14 }}" y1="{{ $curve['capacity'] }}"
                    y2="{{ $curve['capacity'] }}" /><text class="cap-text" x="{{ LicencePage::WIDTH - 16 }}"
                    y="{{ $curve['capacity'] - 4 }}" text-anchor="end">what the accounts hold</text>
            @endif
        </svg>
    @endif
    <div class="columns mt-2">
        <div>
            @if ($isLater)
            @elseif ($n > 0)
                <section class="card-s">
                    <h2>Which series on which account</h2>
                    <p class="{{ $left > 0 ? 'fault' : ($unassigned > 0 || $assignment->changed > 0 ? 'warn' : 'said') }}">
                        @if ($left > 0)
                            {{ Words::count($left, 'session') }} of {{ Words::count(count($assignment->left), 'series', 'series') }} find
                            no account:
                            {{ collect($assignment->left)->keys()->take(4)->map(fn($s) => $names[$s]['name'])->implode('; ') }}{{ count(
                                $assignment->left) > 4 ? ' and ' . (count($assignment->left) - 4) . ' more' : '' }}.
                        @elseif ($unassigned > 0)
                            {{ Words::count($unassigned, 'series', 'series') }} stand on no account yet; all of them fit.
                        @elseif ($assignment->changed > 0)
                            {{ Words::count($assignment->changed, 'series', 'series') }} would have to change accounts.
                        @else
                            Every series stands on an account, and none has more than it bears.
                        @endif
                        {{ $assignment->split !== []
                            ? Words::count(count($assignment->split), 'series', 'series') . ' would be split over several accounts.'
                            : '' }}
                        @if ($unassigned > 0 || $assignment->changed > 0)
                    </p>
                    <form method="post" action="{{ route('licences.assign') }}">@csrf<button class="btn btn-main">Put
                            {{ $unassigned > 0 ? 'all on accounts' : 'them right' }}</button> <span class="quiet">Whoever stands right
                        stays.</span></form>@else</p>
            @endif
            <table class="table-plain mt-2">
                <thead>
                    <tr>
                        <th scope="col">Account</th>
                        <th scope="col">Plan</th>
                        <th scope="col" class="num">Seats</th>
                        <th scope="col" class="num">Minutes</th>
                        <th scope="col" class="num">At one time</th>
                        <th scope="col" class="num">Series on it</th>
                        <th scope="col"></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($accounts as $a)
                        <tr>
                            <td><b>{{ $a->name }}</b></td>
                            <td>
                                <form class="inline" method="post" action="{{ route('host-accounts.update', $a->id) }}">@csrf
                                    @method('put')<select class="form-select w-auto" name="of"
                                        aria-label="Plan of {{ $a->name }}">
                                        @foreach ($plans as $p)
                                            <option value="{{ $p->id }}" @selected($p->name === $a->plan)>{{ $p->name }}</option>
                                        @endforeach
                                    </select>
                                    <button class="btn btn-plain py-0">Change<span class="visually-hidden"> the plan of
                                            {{ $a->name }}</span></button>
                                </form>
                            </td>
                            <td class="num">{{ $a->seats }}</td>
                            <td class="num">{{ $a->minutes }}</td>
                            <td class="num">{{ $a->atOnce }}</td>
                            <td class="num">{{ $standing[$a->id] ?? 0 }}</td>
                            <td>
                                <form method="post" action="{{ route('host-accounts.destroy', $a->id) }}">@csrf @method('delete')<button
                                        class="btn btn-plain py-0">Take out<span class="visually-hidden">:
                                            {{ $a->name }}</span></button></form>
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            </section>
            @if ($long !== [])
                <section class="card-s">
                    <h2>Too long or too full</h2>
                    <table class="table-plain">
                        <thead>
                            <tr>
                                <th scope="col">Series</th>
                                <th scope="col">What is wrong</th>
                                <th scope="col">Ways out</th>
                            </tr>
                        </thead>
                        <tbody>
                            @foreach ($long as $r)
                                <tr>
                                    <td><a
                                            href="{{ $base . '/' . rawurlencode($r['section']) }}"><b>{{ $r[
                                                'name'] }}</b></a><br><small>{{ $r['account'] }}</small>
                                    </td>
                                    <td><span class="todo">
                                            @if ($r['isLong'])
                                                {{ $r['minutes'] }} minutes, {{ $r['most'] }} allowed
                                                @endif @if ($r['isFull'])
                                                    {{ Words::count($r['people'], 'person', 'people') }}, too few seats
                                                @endif
                                        </span></td>
                                    <td>
                                        @if ($r['fits'] !== [])
                                            <form class="inline mb-1" method="post" action="{{ route('licences.put', $r['series']) }}">
                                                @csrf @method('put')<select class="form-select w-auto" name="account"
                                                    aria-label="Another account for {{ $r['name'] }}">
                                                    @foreach ($r['fits'] as [$id, $name])
                                                        <option value="{{ $id }}">{{ $name }}</option>
                                                    @endforeach
                                                </select>
                                                <button class="btn btn-side py-0">Put it there</button>
                                        </form>@else<span class="quiet">No account holds it: give one another plan above. </span>
                                        @endif
                                        @if ($r['isLong'])
                                            <form class="inline" method="post" action="{{ route('licences.split', $r['series']) }}">
                                                @csrf<input type="hidden" name="most" value="{{ $r['most'] }}"><span>Split into
                                                    {{ (int) ceil($r['minutes'] / $r['most']) }} parts, pause of</span><input
                                                    class="form-control n" name="pause" value="10" inputmode="numeric"
                                                    aria-label="Minutes of pause for {{ $r['name'] }}"><span>min</span><button
                                                    class="btn btn-side py-0">Split</button></form>
                                        @endif
                                    </td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                    @if ($fault('most', 'pause'))
                        <p class="fault" role="alert">{{ $fault('most', 'pause') }}</p>
                    @endif
                </section>
            @endif
        @else<div class="empty">
                <h2>No host account is known</h2>Add a hosting plan and its accounts, and it is worked out which series runs on which.
            </div>
            @endif
        </div>
        <div>
            @if ($whatIf !== [])
                <section class="card-s">
                    <h2>With another number</h2>
                    <table class="table-plain">
                        <thead>
                            <tr>
                                <th scope="col" class="num">Accounts</th>
                                <th scope="col">What it would mean</th>
                            </tr>
                        </thead>
                        <tbody>
                            @foreach ($whatIf as $w)
                                <tr>
                                    <td class="num">
                                        @if ($w['isNow'])
                                            <b>{{ $w['n'] }}, now</b>@else{{ $w['n'] }}
                                            @endif @if ($w['like'])
                                                <small>{{ $w['like'] }}</small>
                                            @endif
                                    </td>
                                    <td class="{{ $w['left'] > 0 ? 'bad' : ($w['split'] > 0 ? 'todo' : 'good') }}">
                                        {{ $w['left'] > 0
                                            ? Words::count($w['left'], 'session') . ' without an account'
                                            : ($w['split'] > 0
                                                ? Words::count($w['split'], 'series', 'series') . ' split'
                                                : 'every series on one account') }}
                                    </td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </section>
            @endif
            <section class="card-s">
                <h2>Hosting plans</h2>
                @foreach ($plans as $p)
                    <details class="mb-1" @if ((string) old('plan') === (string) $p->id) open @endif>
                        <summary><b>{{ $p->name }}</b> <span class="quiet">{{ $p->seats }} seats, {{ $p->minutes }} min,
                                {{ $p->at_once }} at one time ·
                                {{ Words::count($p->accounts->count(), 'account') }}{{ isset($needs[$p->name]) ? ", {$needs[
                                    $p->name]} so large or larger needed" : '' }}</span>
                        </summary>@include('timetable.hosting-plan', ['plan' => $p])<form method="post"
                            action="{{ route('hosting-plans.destroy', $p) }}">
                            @csrf @method('delete')<button class="btn btn-plain py-0">Take it out<span class="visually-hidden">:
                                    {{ $p->name }}</span></button></form>
                    </details>
                @endforeach
                <details @if ($plans->isEmpty() || ($fault('plan_name', 'seats', 'minutes', 'at_once') && !old('plan'))) open @endif>
                    <summary>Add a plan…</summary>@include('timetable.hosting-plan', ['plan' => null])
                </details>
            </section>
            @if ($plans->isNotEmpty())
                <section class="card-s">
                    <h2>Add accounts</h2>
                    <form method="post" action="{{ route('host-accounts.store') }}">@csrf<div class="inline mb-2"><input
                                class="form-control n" name="many" inputmode="numeric" aria-label="How many"
                                value="{{ old('many', 1) }}"><input class="form-control flex-fill w-auto" name="account_name"
                                maxlength="50" aria-label="Name" placeholder="Host" value="{{ old('account_name') }}"></div>
                        <div class="inline"><select class="form-select w-auto" name="of" aria-label="Hosting plan">
                                @foreach ($plans as $p)
                                    <option value="{{ $p->id }}">{{ $p->name }}</option>
                                @endforeach
                            </select>
                            <button class="btn btn-side">Add</button>
                        </div>
                        @if ($fault('of', 'account_name', 'many'))
                            <div class="invalid" role="alert">{{ $fault('of', 'account_name', 'many') }}</div>
                        @endif
                    </form>
                </section>
            @endif
        </div>
    </div>
</x-app>
