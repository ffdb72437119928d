@php
    use Nomada\App\Support\Words;
    use Nomada\Core\Registration\Verdict;
    $base = url('/sections');
    $tone = [
        'certain' => 'good',
        'check-name' => 'todo',
        'check-address' => 'todo',
        'another-account' => 'bad',
        'another-section' => 'todo',
        'already' => 'quiet',
        'unknown' => 'bad',
    ];
@endphp
<x-app title="Registration desk">
    <div class="bar">
        <h1>Registration</h1>
        <div class="sum">
            @if ($waiting === 0)
                nobody waits for a decision
            @else
                <span class="todo">{{ Words::count($waiting, 'registrant') }} {{ $waiting === 1 ? 'waits' : 'wait' }}</span>
                @endif @if ($show === '' && $safe > 0)
                    · <span class="good">{{ $safe }} certain</span>
                @endif
        </div>
        @include('registration.tabs', ['at' => $show === '' ? 'desk' : $show])
    </div>
    @foreach (['registration', 'reason', 'section'] as $f)
        @error($f)
            <p class="fault" role="alert">{{ $message }}</p>
        @enderror
    @endforeach
    @if ($show === '')
        @if ($isComparing)
            <div class="empty" x-data="comeback" role="status">
                <h2>{{ number_format($waiting) }} registrants are being compared with the rosters</h2>That takes some seconds, once; this
                page looks again by itself. <a href="{{ route('desk', array_filter(['verdict' => $verdict])) }}">Look again</a> or <a
                    href="{{ route('desk', array_filter(['verdict' => $verdict, 'now' => 1])) }}">wait for it here</a>
            </div>
        @elseif ($all === 0)
            <div class="empty">
                <h2>The queue is empty</h2>Series where students register themselves are set up on each series' joining page; whoever
                registers is listed here beside the roster.
            </div>
        @else
            <div class="bar thin">
                <nav aria-label="Verdict"><a @class(['pill', 'on' => $verdict === '']) href="{{ route('desk') }}">All {{ $all }}</a>
                    @foreach (Verdict::cases() as $v)
                        @if (($counts[$v->value] ?? 0) > 0)
                            <a @class(['pill', 'on' => $verdict === $v->value])
                                href="{{ route('desk', ['verdict' => $v->value]) }}">{{ ucfirst($v->words()) }}
                                {{ $counts[$v->value] }}</a>
                        @endif
                    @endforeach
                </nav>
                @if ($safe > 0)
                    <form method="post" class="end" action="{{ route('desk.certain') }}">@csrf<button class="btn btn-main">Accept all
                            {{ $safe }} that are certain</button></form>
                @endif
            </div>
            <div x-data="desk">
                <table class="table-plain desk">
                    <thead>
                        <tr>
                            <th scope="col">What was found</th>
                            <th scope="col">Registrant, as typed</th>
                            <th scope="col">On the roster</th>
                            <th scope="col">For</th>
                            <th scope="col"><span class="visually-hidden">Decide</span></th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($lines as $l)
                            @php $who = implode('', array_column($l['name'], 0)); @endphp
                            <tr class="row-d" tabindex="{{ $loop->first ? 0 : -1 }}"
                                aria-label="{{ $who }}: {{ $l['verdict']->words() }}">
                                <td class="what"><b
                                        class="{{ $tone[$l['verdict']->value] }}">{{ ucfirst($l['verdict']->words()) }}</b><small>{{ $l[
                                            'why'] }}</small>
                                    @if ($l['account'])
                                        <small class="bad">typed from the account of {{ $l['account'] }}, who is registered if you
                                            accept</small>
                                    @endif
                                </td>
                                <td>@include('registration.marked', ['pieces' => $l['name']])<br><small class="addr">
                                        @if ($l['same'])
                                            <mark>{{ $l['address'] }}</mark>@else{{ $l['address'] }}
                                        @endif
                                    </small>
                                </td>
                                <td>
                                    @if ($l['rosterName'] === [])
                                        <span class="quiet">nobody like this</span>
                                    @else
                                        @include('registration.marked', ['pieces' => $l['rosterName']])<br><small class="addr">
                                            @if ($l['same'])
                                                <mark>{{ $l['rosterAddress'] }}</mark>@else{{ $l['rosterAddress'] }}
                                            @endif
                                        </small>
                                    @endif
                                </td>
                                <td><a href="{{ $base . '/' . rawurlencode($l['sectionId']) }}">{{ $l['section'] }}</a><br><small>{{ $l[
                                    'day'] === '' ? '' : "only {$l['day']}, " }}came
                                        {{ $l['arrived'] }}</small></td>
                                <td class="acts">
                                    @if ($l['to'])
                                        <form method="post" action="{{ route('desk.send', $l['id']) }}">@csrf<input type="hidden"
                                                name="section" value="{{ $l['to'] }}"><button class="btn btn-main">Send to
                                                {{ $l['toName'] }}<span class="visually-hidden">: {{ $who }}</span></button>
                                        </form>
                                    @endif
                                    <form method="post" action="{{ route('desk.accept', $l['id']) }}">@csrf<button
                                            class="btn {{ $l['isSafe'] ? 'btn-main' : 'btn-side' }}" data-key="a">Accept<span
                                                class="visually-hidden"> {{ $who }}</span></button></form>
                                    <details class="more">
                                        <summary class="btn btn-side" data-key="d">Decline…<span class="visually-hidden">
                                                {{ $who }}</span></summary>
                                        <form class="drop" method="post" action="{{ route('desk.decline', $l['id']) }}">@csrf<label
                                                for="reason-{{ $l['id'] }}">Because (the student reads it)</label><input
                                                class="form-control" id="reason-{{ $l['id'] }}" name="reason" list="reasons"
                                                maxlength="300" required><button class="btn btn-wrong mt-2">Decline</button></form>
                                    </details>
                                    @if ($sections->count() > 1 && $l['to'] === null)
                                        <details class="more">
                                            <summary class="btn btn-side" data-key="s">Send…<span class="visually-hidden">
                                                    {{ $who }} to another section</span></summary>
                                            <form class="drop" method="post" action="{{ route('desk.send', $l['id']) }}">@csrf<label
                                                    for="to-{{ $l['id'] }}">To the section</label><input class="form-control"
                                                    id="to-{{ $l['id'] }}" name="section" list="sections" required maxlength="80"
                                                    placeholder="its code"><button class="btn btn-side mt-2">Send there</button></form>
                                        </details>
                                    @endif
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </div>
            <datalist id="sections">
                @foreach ($sections as $s)
                    <option value="{{ $s->sourced_id }}">{{ $s->name() }}</option>
                @endforeach
            </datalist>
            <datalist id="reasons">
                <option value="Use your school address.">
                <option value="Write your whole name, as the school knows it.">
                <option value="You are not on the roster of this class; ask your school to enrol you.">
            </datalist>
            @if ($total > count($lines))
                <p class="quiet">The first {{ count($lines) }} of {{ $total }} are shown; the others follow as these are decided.
                </p>
            @endif
        @endif
    @elseif ($show === 'list')
        @if ($list->isEmpty())
            <div class="empty">
                <h2>Nobody is on a waiting list</h2>Where a series has a number of seats, whoever comes after the last seat waits here in
                order of arrival.
            </div>
        @else
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col">For</th>
                        <th scope="col" class="num">Place</th>
                        <th scope="col">Who</th>
                        <th scope="col">Came</th>
                        <th scope="col"><span class="visually-hidden">Decide</span></th>
                    </tr>
                </thead>
                <tbody>@php
                    $last = '';
                    $place = 0;
                @endphp
                    @foreach ($list as $r)
                        @php
                            $key = "$r->series_id $r->only_day";
                            $place = $key === $last ? $place + 1 : 1;
                            $last = $key;
                        @endphp
                        <tr>
                            <td>{{ $r->series->section->name() }}{{ $r->only_day ? ', ' . \Nomada\Core\Term\LocalDate::parse(
                                $r->only_day)->short() : '' }}
                            </td>
                            <td class="num">{{ $place }}</td>
                            <td>{{ $r->typed_name }}<br><small>{{ $r->typed_email }}</small></td>
                            <td>{{ $r->arrived_at ? $zone->dateAt($r->arrived_at->timestamp)->short() . ' ' . $zone->clock(
                                $r->arrived_at->timestamp) : '' }}
                            </td>
                            <td class="acts">
                                <form method="post" action="{{ route('desk.withdraw', $r->id) }}">@csrf @method('delete')<button
                                        class="btn btn-side">Take off the list<span class="visually-hidden">:
                                            {{ $r->typed_name }}</span></button></form>
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    @elseif ($show === 'decided')
        @if ($decided->isEmpty())
            <div class="empty">
                <h2>Nothing decided yet</h2>A decision can be undone here until its letter has gone.
            </div>
        @else
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col">Who</th>
                        <th scope="col">For</th>
                        <th scope="col">Decided</th>
                        <th scope="col">Letter</th>
                        <th scope="col"><span class="visually-hidden">Take back</span></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($decided as $r)
                        @php $letter = $gone[$r->id] ?? null; @endphp
                        <tr>
                            <td>{{ $r->typed_name ?? $r->person->name() }}</td>
                            <td>{{ $r->series->section->name() }}{{ $r->only_day ? ', ' . \Nomada\Core\Term\LocalDate::parse(
                                $r->only_day)->short() : '' }}
                            </td>
                            <td><span
                                    class="{{ ['accepted' => 'ok', 'declined' => 'bad'][$r->state] ?? 'todo' }}">{{ $r->before
                                        && $r->before['series_id'] !== $r->series_id ? 'sent here' : $r->state }}</span>
                                @if ($r->reason)
                                    <br><small>{{ $r->reason }}</small>
                                @endif
                            </td>
                            <td class="quiet">
                                {{ $letter === null ? '–' : ($letter->sent_at !== null ? 'gone' : $letter->trouble ?? 'goes in a minute') }}
                            </td>
                            <td class="acts">
                                @if ($letter && $letter->sent_at === null && $r->before)
                                    <form method="post" action="{{ route('desk.undo', $r->id) }}">@csrf @method('delete')<button
                                            class="btn btn-side">Undo<span class="visually-hidden"> for
                                                {{ $r->typed_name }}</span></button></form>
                                @elseif ($r->state === 'accepted')
                                    <form method="post" action="{{ route('desk.withdraw', $r->id) }}">@csrf @method('delete')<button
                                            class="btn btn-side">Withdraw<span class="visually-hidden">
                                                {{ $r->typed_name }}</span></button></form>
                                @endif
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    @else
        @if ($changes === [])
            <div class="empty">
                <h2>No roster has changed this term</h2>Late joiners and leavers are listed here after an import, each with what was done
                about it.
            </div>
        @else
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col">Who</th>
                        <th scope="col">Section</th>
                        <th scope="col">What</th>
                        <th scope="col">Registration</th>
                        <th scope="col"><span class="visually-hidden">Mend</span></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($changes as $c)
                        <tr>
                            <td>{{ $c['name'] }}</td>
                            <td><a href="{{ $base . '/' . rawurlencode($c['sectionId']) }}">{{ $c['section'] }}</a></td>
                            <td>{{ $c['what'] }} {{ $c['on'] }}</td>
                            <td><span class="{{ $c['done'] ? 'ok' : 'todo' }}">{{ $c['says'] }}</span></td>
                            <td class="acts">
                                @if (!$c['done'])
                                    <form method="post" action="{{ route('rosters.store') }}">@csrf<input type="hidden"
                                            name="sections[]" value="{{ $c['sectionId'] }}"><button class="btn btn-side">Follow the
                                            roster<span class="visually-hidden"> of {{ $c['section'] }}</span></button></form>
                                @endif
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
    @endif
    <x-slot:keys>
        <dt><kbd>↑</kbd> <kbd>↓</kbd></dt>
        <dd>from registrant to registrant</dd>
        <dt><kbd>a</kbd></dt>
        <dd>accept</dd>
        <dt><kbd>d</kbd></dt>
        <dd>decline, with a reason</dd>
        <dt><kbd>s</kbd></dt>
        <dd>send to another section</dd>
    </x-slot:keys>
</x-app>
