@php
    use Nomada\App\Support\Words;
    use Nomada\Core\Term\LocalDate;
    use Nomada\Core\Term\TypedTime;
    $may = Gate::check('coordinate');
    $rotation = $calendar->rotation;
    $kind = old('rotation_kind', $rotation === null ? 'none' : ($rotation->byWeek ? 'week' : 'day'));
    $fault = fn(string ...$fields) => collect($fields)->map(fn($f) => $errors->first($f))->filter()->implode(' ');
@endphp
<x-app title="Term">
    <div class="bar">
        <h1>{{ $term->title }}</h1>
        <div class="sum">{{ $calendar->first->short() }} to {{ $calendar->last->short() }} · {{ Words::count($openDays, 'school day') }} ·
            {{ Words::count($calendar->weeks(), 'week') }} · {{ $calendar->zone->name }}</div>
        <div class="end">
            @if ($terms->count() > 1)
                <form method="post" action="{{ route('term.choose') }}" class="d-flex gap-2">@csrf<label class="visually-hidden"
                        for="term">Term</label><select class="form-select w-auto" id="term" name="term">
                        @foreach ($terms as $t)
                            <option value="{{ $t->id }}" @selected($t->id === $term->id)>{{ $t->title }},
                                {{ LocalDate::parse($t->starts_on)->dayMonth() }} {{ substr($t->starts_on, 0, 4) }}</option>
                        @endforeach
                    </select>
                    <button class="btn btn-side">Look at it</button>
                </form>
            @endif
            @if ($may)
                <a class="btn btn-side" href="{{ route('import') }}">Import a school…</a>
                <a class="btn btn-side" href="{{ route('roster') }}">{{ __('publishing.roster') }}</a>
            @endif
        </div>
    </div>
    @if (session('look'))
        <p class="warn" role="status">{{ session('look') }} Nothing is saved yet.</p>
    @endif
    @isset($closing)
        @include('term.closing', ['look' => $closing])
    @endisset
    <div class="columns mt-2">
        <div x-data="closing">
            <table class="weeks">
                <thead>
                    <tr>
                        <th class="wk" scope="col">Week</th>
                        @foreach ($days as $d)
                            <th scope="col">{{ $d }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($weeks as $week)
                        <tr>
                            <th scope="row">{{ $week['n'] }} · {{ $week['monday']->dayMonth() }}@if ($week['rotation'])
                                    <span class="rot">{{ $week['rotation'] }}</span>
                                    @endif @if ($week['change'])
                                        <br><span class="todo">{{ $week['change'] }}</span>
                                    @endif
                            </th>
                            @foreach ($week['days'] as $day)
                                @if (!$day['inTerm'])
                                    <td class="out">–</td>
                                @elseif ($day['reason'] !== null)
                                    <td @class(['shut', 'today' => $day['date']->day === $today]) data-day="{{ $day['date']->iso() }}">
                                        <span>{{ $day['date']->parts()[2] }}{{ $day['reason'] === \Nomada\Core\Term\Term::WEEKEND ? ''
                                            : ' · ' . $day['reason'] }}</span>
                                    </td>
                                @else<td @class([
                                    'today' => $day['date']->day === $today,
                                    'is-short' => $day['short'] !== null,
                                ]) data-day="{{ $day['date']->iso() }}"><a
                                            href="{{ route('timetable', ['day' => $day['date']->iso()]) }}" draggable="false"><span
                                                class="d">{{ $day['date']->parts()[2] }}@if ($day['rotation'] && !$week['rotation'])
                                                    <span class="rot">{{ $day['rotation'] }}</span>
                                                    @endif @if ($day['short'])
                                                        <span class="rot">short</span>
                                                    @endif
                                            </span>
                                            <span
                                                class="quiet">{{ $day['planned'] === 0 ? 'none' : Words::count($day['planned'],
                                                    'session') }}</span></a>
                                    </td>
                                @endif
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <div class="legend" aria-label="What the marks mean"><span><svg width="22" height="14" aria-hidden="true">
                        <rect width="22" height="14" fill="url(#hatch)" />
                    </svg>closed</span><span><i class="key-short"></i>short day</span>
                @if ($rotation)
                    <span><span class="rot">{{ $rotation->label(1) }}</span>rotation {{ $rotation->byWeek ? 'week' : 'day' }}</span>
                    @endif @if ($may)
                        <span class="quiet">Drag over days to close them.</span>
                    @endif
            </div>
        </div>
        <div>
            @if ($may)
                <section class="card-s">
                    <h2>Close days</h2>
                    <form method="get" action="{{ route('closures.preview') }}">
                        <div class="d-flex gap-2 mb-2">
                            <div class="flex-fill"><label class="form-label" for="first">From</label>
                                <x-date id="first" name="first" :in="$calendar" :value="($closing ?? null)?->closure->first->iso()" />
                            </div>
                            <div class="flex-fill"><label class="form-label" for="last">To</label>
                                <x-date id="last" name="last" :in="$calendar" :value="($closing ?? null)?->closure->last->iso()" />
                            </div>
                        </div>
                        <label class="form-label" for="reason">Why</label><input class="form-control mb-2" id="reason" name="reason"
                            maxlength="80" value="{{ old('reason', isset($closing) ? $closing->closure->reason : '') }}">
                        @foreach (['first', 'last', 'reason'] as $f)
                            @error($f)
                                <div class="invalid mb-2" role="alert">{{ $message }}</div>
                            @enderror
                        @endforeach
                        <button class="btn btn-side">What falls on it?</button>
                    </form>
                </section>
            @endif
            <section class="card-s">
                <h2>Closed days</h2>
                @forelse ($term->closures as $closure)
                    @php
                        $l = $lost->get($closure->reason);
                        $first = LocalDate::parse($closure->starts_on);
                        $last = LocalDate::parse($closure->ends_on);
                    @endphp
                    <p class="mb-2">
                        <b>{{ $closure->reason }}</b><br>{{ $first->short() }}{{ $last->day > $first->day ? ' to ' . $last->short() : '' }}
                        <span class="quiet">·
                            {{ $l
                                ? Words::count((int) $l->sessions, 'session') . ' of ' . Words::count((int) $l->sections, 'section')
                                    . ' lost'
                                : 'no session lost' }}</span>
                        @if ($may)
                            <form class="d-inline" method="post" action="{{ route('closures.destroy', $closure) }}">@csrf
                                @method('delete')<button class="btn btn-plain py-0">Open again<span class="visually-hidden">:
                                        {{ $closure->reason }}</span></button></form>
                        @endif
                    </p>
                @empty<p class="quiet">No day is closed. Drag over days, or read them from a calendar.</p>
                @endforelse
                @if ($may && $toMakeUp > 0)
                    <p class="mb-2"><a href="{{ route('make-ups') }}">{{ Words::count($toMakeUp, 'session') }} could be made up</a>
                    </p>
                @endif
                <p class="mb-1"><a href="{{ route('closures.export') }}">Closed days as iCalendar</a></p>
                @if ($may)
                    <details @if ($errors->has('calendar')) open @endif>
                        <summary>Read closed days from a calendar…</summary>
                        <form method="post" action="{{ route('closures.upload') }}" enctype="multipart/form-data" class="mt-2">
                            @csrf<label class="form-label" for="calendar">Calendar file (.ics)</label><input class="form-control mb-2"
                                type="file" id="calendar" name="calendar" accept=".ics,text/calendar">
                            @error('calendar')
                                <div class="invalid mb-2" role="alert">{{ $message }}</div>
                            @enderror
                            <button class="btn btn-side">
                                Look at it</button>
                        </form>
                    </details>
                @endif
            </section>
            @include('term.history', ['history' => $history, 'may' => $may])
            <section class="card-s">
                <h2>Day plans</h2>
                @forelse ($term->dayPlans as $plan)
                    <details class="mb-1" @if ((string) old('plan') === (string) $plan->id) open @endif>
                        <summary><b>{{ $plan->name }}</b> <span
                                class="quiet">{{ Words::count(count($plan->periods), 'period') }}{{ $plan->is_usual ? ', the usual one'
                                    : '' }}</span>
                        </summary>
                        @if ($may)
                            @include('term.day-plan', ['plan' => $plan])
                            <form method="post" action="{{ route('day-plans.destroy', $plan->id) }}" class="mb-2">@csrf
                                @method('delete')<button class="btn btn-plain py-0">Take it out<span class="visually-hidden">:
                                        {{ $plan->name }}</span></button></form>
                        @else
                            <pre class="mb-1">{{ $plan->toCore()->typed() }}</pre>
                        @endif
                    </details>
                @empty<p class="quiet">None yet. With a day plan, series can be tied to its periods.</p>
                @endforelse
                @if ($may)
                    <details @if ($errors->hasAny(['plan_name', 'periods']) && !old('plan')) open @endif>
                        <summary>Add a day plan…</summary>@include('term.day-plan', ['plan' => null])
                    </details>
                @endif
                @if ($calendar->plan)
                    <h3 class="mt-2">Short days</h3>
                    @foreach ($term->shortDays as $short)
                        <p class="mb-1">{{ LocalDate::parse($short->day)->short() }}: {{ $short->reason }} <span
                                class="quiet">({{ $term->dayPlans->firstWhere('id', $short->day_plan_id)?->name }})</span>
                            @if ($may)
                                <form class="d-inline" method="post" action="{{ route('short-days.destroy', $short->id) }}">@csrf
                                    @method('delete')<button class="btn btn-plain py-0">Usual again<span class="visually-hidden">:
                                            {{ LocalDate::parse($short->day)->short() }}</span></button></form>
                            @endif
                        </p>
                    @endforeach
                    @if ($may)
                        <details @if ($fault('short_day', 'short_plan', 'short_reason')) open @endif>
                            <summary>Make a day short…</summary>
                            <form method="post" action="{{ route('short-days.store') }}" class="mt-1">@csrf<div
                                    class="d-flex gap-2 mb-2">
                                    <x-date name="short_day" label="Short day" :in="$calendar" />
                                    <select class="form-select" name="short_plan" aria-label="Plan of the short day">
                                        @foreach ($term->dayPlans as $plan)
                                            <option value="{{ $plan->id }}" @selected((string) old('short_plan') === (string) $plan->id || (
                                                !old('short_plan') && !$plan->is_usual))>{{ $plan->name }}</option>
                                        @endforeach
                                    </select>
                                </div>
                                <input class="form-control mb-2" name="short_reason" maxlength="80" aria-label="Why it is short"
                                    placeholder="Why, as in: Market day" value="{{ old('short_reason') }}">
                                @if ($fault('short_day', 'short_plan', 'short_reason'))
                                    <div class="invalid mb-2" role="alert">{{ $fault('short_day', 'short_plan', 'short_reason') }}
                                    </div>
                                @endif
                                <button class="btn btn-side" name="look" value="1">What would change?</button> <button
                                    class="btn btn-main">Save</button>
                            </form>
                        </details>
                    @endif
                @endif
            </section>
            <section class="card-s">
                <h2>Rotation</h2>
                <p class="mb-1">
                    {{ $rotation === null
                        ? 'Nothing rotates.'
                        : ($rotation->byWeek ? 'Weeks ' : 'Days ') .
                            implode(', ', $rotation->labels()) .
                            ($rotation->byWeek ? ', over weeks with an open day.' : ', over open days.') }}
                </p>
                @if ($may)
                    <details @if ($fault('rotation_kind', 'rotation_n', 'pin_day', 'pin_to')) open @endif>
                        <summary>Change…</summary>
                        <form method="post" action="{{ route('rotation.update') }}" class="mt-1">@csrf
                            <x-drawn :of="'rotation:' . $term->id" />
                            @method('put')
                            <div class="d-flex gap-3 mb-2 flex-wrap">
                                @foreach (['none' => 'nothing', 'day' => 'days', 'week' => 'weeks'] as $value => $label)
                                    <label><input class="form-check-input" type="radio" name="rotation_kind"
                                            value="{{ $value }}" @checked($kind === $value)> {{ $label }}</label>
                                @endforeach
                            </div>
                            <div class="d-flex gap-2 mb-2 align-items-center"><input class="form-control w-auto" size="3"
                                    name="rotation_n" inputmode="numeric" aria-label="How many"
                                    value="{{ old('rotation_n', $rotation->n ?? 2) }}"><label><input type="hidden" name="lettered"
                                        value="0"><input class="form-check-input" type="checkbox" name="lettered" value="1"
                                        @checked(old('lettered', $rotation === null
                                            || $rotation->isLettered))> A, B, C instead of 1, 2, 3</label></div>
                            <div class="d-flex gap-2 mb-2 align-items-center"><span class="quiet nowrap">pin</span>
                                <x-date name="pin_day" label="Day to be pinned" :in="$calendar" />
                                <span class="quiet">to</span><input class="form-control w-auto" size="3" name="pin_to"
                                    aria-label="Rotation day of it" value="{{ old('pin_to') }}">
                            </div>
                            @if ($fault('rotation_kind', 'rotation_n', 'pin_day', 'pin_to'))
                                <div class="invalid mb-2" role="alert">{{ $fault('rotation_kind', 'rotation_n', 'pin_day', 'pin_to') }}
                                </div>
                            @endif
                            <button class="btn btn-side" name="look" value="1">What would change?</button> <button
                                class="btn btn-main">Save</button>
                            @foreach ($rotation->pins ?? [] as $pin => $number)
                                <p class="mb-0 mt-1">{{ (new LocalDate($pin))->short() }} is {{ $rotation->label($number) }} <button
                                        class="btn btn-plain py-0" name="unpin" value="{{ (new LocalDate($pin))->iso() }}">Unpin<span
                                            class="visually-hidden"> {{ (new LocalDate($pin))->short() }}</span></button></p>
                            @endforeach
                        </form>
                    </details>
                @endif
            </section>
            <section class="card-s">
                <h2>Open</h2>
                <dl class="pairs">
                    <dt>School days</dt>
                    <dd>{{ $openDays }}</dd>
                    <dt>Hours</dt>
                    <dd>{{ TypedTime::format($calendar->hours[0]) }}–{{ TypedTime::format($calendar->hours[1]) }}</dd>
                    <dt>Weekends</dt>
                    <dd>closed{{ $term->openedDays->isEmpty() ? '' : ', but for:' }}
                        @foreach ($term->openedDays as $opened)
                            <br>{{ LocalDate::parse($opened->day)->short() }} @if ($may)
                                <form class="d-inline" method="post" action="{{ route('opened-days.destroy', $opened->id) }}">@csrf
                                    @method('delete')<button class="btn btn-plain py-0">Close<span class="visually-hidden">
                                            {{ LocalDate::parse($opened->day)->short() }}</span></button></form>
                            @endif
                        @endforeach
                    </dd>
                </dl>
                @if ($may)
                    <details @if ($fault('open_day', 'opens', 'closes')) open @endif>
                        <summary>Change…</summary>
                        <form method="post" action="{{ route('hours.update') }}" class="d-flex gap-2 my-2 align-items-center">@csrf
                            <x-drawn :of="'hours:' . $term->id" />
                            @method('put')<input class="form-control" name="opens" aria-label="Opens at"
                                value="{{ old('opens', TypedTime::format($calendar->hours[0])) }}">–<input class="form-control"
                                name="closes" aria-label="Shuts at"
                                value="{{ old('closes', TypedTime::format($calendar->hours[1])) }}"><button
                                class="btn btn-side nowrap">Save hours</button>
                        </form>
                        <form method="post" action="{{ route('opened-days.store') }}" class="d-flex gap-2 align-items-center">
                            @csrf
                            <x-date name="open_day" label="Weekend day to open" :in="$calendar" />
                            <button class="btn btn-side nowrap">Open this day</button>
                        </form>
                        @if ($fault('open_day', 'opens', 'closes'))
                            <div class="invalid mt-1" role="alert">{{ $fault('open_day', 'opens', 'closes') }}</div>
                        @endif
                    </details>
                @endif
            </section>
            @if ($may)
                <section class="card-s">
                    <h2>Terms</h2>
                    @foreach ($terms as $t)
                        <p class="mb-1">{{ $t->title }} <span class="quiet">{{ LocalDate::parse($t->starts_on)->dayMonth() }} –
                                {{ LocalDate::parse($t->ends_on)->dayMonth() }} {{ substr($t->ends_on, 0, 4) }} ·
                                {{ Words::count($t->sections_count, 'section') }}</span>
                            @if ($t->sections_count === 0)
                                <form class="d-inline" method="post" action="{{ route('terms.destroy', $t) }}">@csrf
                                    @method('delete')<button class="btn btn-plain py-0">Remove<span class="visually-hidden">
                                            {{ $t->title }}</span></button></form>
                            @endif
                        </p>
                    @endforeach
                    @error('term')
                        <div class="invalid" role="alert">{{ $message }}</div>
                    @enderror
                    @if ($terms->count() > 1)
                        <details @error('from') open @enderror>
                            <summary>Copy another term's plan into this one…</summary>
                            <form method="post" action="{{ route('terms.copy') }}" class="mt-1">@csrf<select
                                    class="form-select mb-2" name="from" aria-label="Term to copy from">
                                    @foreach ($terms->except([$term->id]) as $t)
                                        <option value="{{ $t->id }}">{{ $t->title }}</option>
                                    @endforeach
                                </select>
                                <label class="d-block mb-2"><input class="form-check-input" type="checkbox" name="with_students"
                                        value="1"> with the students of each section</label>
                                @error('from')
                                    <div class="invalid mb-2" role="alert">{{ $message }}</div>
                                @enderror
                                <button class="btn btn-side">
                                    Copy sections, teachers, series, day plans</button>
                            </form>
                        </details>
                    @endif
                    <details @if ($fault('term_title', 'term_first', 'term_last')) open @endif>
                        <summary>Add a term…</summary>
                        <form method="post" action="{{ route('terms.store') }}" class="mt-1">@csrf<input class="form-control mb-2"
                                name="term_title" maxlength="80" aria-label="Title of the term" placeholder="Summer term"
                                value="{{ old('term_title') }}">
                            <div class="d-flex gap-2 mb-2">
                                <x-date name="term_first" label="First day of the term" />

                                <x-date name="term_last" label="Last day of the term" />

                            </div>
                            @if ($fault('term_title', 'term_first', 'term_last'))
                                <div class="invalid mb-2" role="alert">{{ $fault('term_title', 'term_first', 'term_last') }}</div>
                            @endif
                            <button class="btn btn-side">Add the term</button>
                        </form>
                    </details>
                </section>
            @endif
        </div>
    </div>
</x-app>
