@php
    use Nomada\Core\Timetable\TypedSpan;
    use Nomada\Core\Term\TypedTime;
    use Nomada\Core\Timetable\WeeklyPattern;
    use Nomada\Core\Term\LocalDate;
    $plan = $series?->plan();
    $pattern = $series->pattern ?? ['kind' => 'weekly', 'weekdays' => [], 'every' => 1];
    $ends = $series->ends ?? ['kind' => 'term'];
    $firstDay = $series->starts_on ?? (new LocalDate(max($term->first->day, min($today, $term->last->day))))->iso();
    $rule = (string) ($pattern['rule'] ?? '');
    preg_match('/^FREQ=DAILY(?:;INTERVAL=(\d+))?$/', $rule, $byDays);
    preg_match('/^FREQ=MONTHLY;BYDAY=(-?\d)(MO|TU|WE|TH|FR|SA|SU)$/', $rule, $byWeekday);
    $monthly = $byWeekday === [] ? '' : WeeklyPattern::weekday($byWeekday[2]);
    preg_match('/^FREQ=MONTHLY;BYMONTHDAY=(\d+)$/', $rule, $byMonthDay);
    $known = $byDays !== [] ? 'every-days' : ($byWeekday !== [] ? 'month-weekday' : ($byMonthDay !== [] ? 'month-day' : 'keep'));
    $kind = old('kind', $pattern['kind'] === 'rule' ? $known : $pattern['kind']);
    $endKind = old('end_kind', in_array($ends['kind'], ['date', 'term', 'held'], true) ? $ends['kind'] : 'keep');
    $weekdays = array_map(intval(...), (array) old('weekdays', $pattern['weekdays'] ?? []));
    // A Saturday can be chosen where one is opened in this term, or where the series has it already.
    $held = array_values(array_unique([...$term->weekdays(), ...$weekdays]));
    sort($held);
@endphp
<form id="editor" class="editor" method="post"
    action="{{ $series ? route('series.update', [$section, $series]) : route('series.store', $section) }}"
    data-preview="{{ route('series.preview', $section) }}" x-data="editor" novalidate>
    @csrf
    @if ($series)
        @method('put')<input type="hidden" name="series" value="{{ $series->id }}">
        <x-drawn :of="'series:' . $series->id" />
        <input type="hidden" name="plan_touched" value="{{ old('plan_touched') }}">
    @endif
    @php $sure = fn (?int $m): string => $m === null ? '' : TypedSpan::answer($m, TypedTime::format($m)); @endphp
    <input type="hidden" name="sure_start_time" value="{{ old('sure_start_time', $sure($plan?->startMinute)) }}"><input type="hidden"
        name="sure_end_time" value="{{ old('sure_end_time', $sure($plan ? $plan->startMinute + $plan->minutes : null)) }}">
    <div>
        <h2 class="mb-2">{{ $series ? "Change {$series->title}" : 'A new series' }}</h2>
        <fieldset>
            <legend>Title</legend><input class="form-control" name="title" aria-label="Title" maxlength="120"
                value="{{ old('title', $series->title ?? '') }}" placeholder="{{ $section->title }}">
            <div class="invalid" data-fault="title" role="alert">{{ $errors->first('title') }}</div>
        </fieldset>
        <fieldset>
            <legend>Meets on</legend>
            <div class="choice"><input class="form-check-input mt-0" type="radio" name="kind" id="k-weekly" value="weekly"
                    @checked($kind === 'weekly')><label for="k-weekly" class="visually-hidden">Chosen weekdays</label>
                <div class="days">
                    @foreach ($held as $n)
                        <input type="checkbox" name="weekdays[]" value="{{ $n }}" id="wd-{{ $n }}"
                            @checked(in_array($n, $weekdays, true))><label for="wd-{{ $n }}">{{ LocalDate::dayName($n) }}</label>
                    @endforeach
                </div>
            </div>
            <div class="choice ps-4"><label for="every" class="quiet">every</label><input class="form-control n" id="every"
                    name="every" inputmode="numeric" value="{{ old('every', $pattern['every'] ?? 1) }}"><span class="quiet">week (1
                    every week, 2 every second)</span></div>
            <div class="choice"><input class="form-check-input mt-0" type="radio" name="kind" id="k-open" value="open-days"
                    @checked($kind === 'open-days')><label for="k-open">Every school day</label></div>
            @if ($rotation)
                <div class="choice"><input class="form-check-input mt-0" type="radio" name="kind" id="k-rotation" value="rotation"
                        @checked($kind === 'rotation')><label for="k-rotation">Rotation {{ $rotation->byWeek ? 'week' : 'day' }}</label>
                    <div class="days">
                        @foreach ($rotation->labels() as $label)
                            <input type="checkbox" name="labels[]" value="{{ $label }}" id="rl-{{ $label }}"
                                @checked(in_array($label, (array) old('labels', $pattern['labels'] ?? []),
                                    true))><label for="rl-{{ $label }}">{{ $label }}</label>
                        @endforeach
                    </div>
                </div>
                @if ($rotation->byWeek)
                    <div class="choice ps-4"><span class="quiet">on</span>
                        <div class="days">
                            @foreach ($held as $n)
                                <input type="checkbox" name="rotation_weekdays[]" value="{{ $n }}" id="rw-{{ $n }}"
                                    @checked(in_array(
                                            $n,
                                            array_map(intval(...), (array) old('rotation_weekdays', $pattern['kind'] === 'rotation'
                                                ? $pattern['weekdays'] : [])),
                                            true))><label for="rw-{{ $n }}">{{ LocalDate::dayName($n) }}</label>
                            @endforeach
                        </div>
                    </div>
                @endif
                <div class="invalid" data-fault="rotation" role="alert">{{ $errors->first('rotation') }}</div>
            @endif
            <details @if (!in_array($kind, ['weekly', 'open-days', 'rotation'], true)) open @endif>
                <summary class="quiet">Other patterns</summary>
                <div class="choice"><input class="form-check-input mt-0" type="radio" name="kind" id="k-days" value="every-days"
                        @checked($kind === 'every-days')><label for="k-days">every</label><input class="form-control n" name="every_days"
                        inputmode="numeric" aria-label="Days" value="{{ old('every_days', $byDays[1] ?? '') }}"><span class="quiet">days
                        of the calendar</span></div>
                <div class="choice"><input class="form-check-input mt-0" type="radio" name="kind" id="k-mw"
                        value="month-weekday" @checked($kind === 'month-weekday')><label for="k-mw">the</label>
                    <select class="form-select w-auto" name="month_nth" aria-label="Which one of the month">
                        @foreach (['1' => 'first', '2' => 'second', '3' => 'third', '4' => 'fourth', '-1' => 'last'] as $n => $name)
                            <option value="{{ $n }}" @selected((string) old('month_nth', $byWeekday[1]
                                ?? '1') === (string) $n)>{{ $name }}</option>
                        @endforeach
                    </select>
                    <select class="form-select w-auto" name="month_weekday" aria-label="Weekday of the month">
                        @foreach ($held as $n)
                            <option value="{{ $n }}" @selected((string) old('month_weekday', $monthly) === (string) $n)>
                                {{ WeeklyPattern::name($n) }}</option>
                        @endforeach
                    </select>
                    <span class="quiet">of a month</span>
                </div>
                <div class="choice"><input class="form-check-input mt-0" type="radio" name="kind" id="k-md"
                        value="month-day" @checked($kind === 'month-day')><label for="k-md">on day</label><input class="form-control n"
                        name="month_day" inputmode="numeric" aria-label="Day of the month"
                        value="{{ old('month_day', $byMonthDay[1] ?? '') }}"><span class="quiet">of a month</span></div>
                <div class="choice"><input class="form-check-input mt-0" type="radio" name="kind" id="k-dates" value="dates"
                        @checked($kind === 'dates')><label for="k-dates">on these dates</label></div>
                <textarea class="form-control ms-4 w-auto" name="dates" rows="2" cols="34" aria-label="Dates, one a line"
                    placeholder="18 Feb, 4 Mar">{{ old('dates', implode("\n", array_map(\Nomada\App\View\DateText::of(...), $pattern[
                        'dates'] ?? []))) }}</textarea>
                @if ($series && $pattern['kind'] === 'rule' && $known === 'keep')
                    <div class="choice"><input class="form-check-input mt-0" type="radio" name="kind" id="k-keep"
                            value="keep" @checked($kind === 'keep')><label for="k-keep">as imported:
                            {{ $plan->pattern->sentence() }}</label></div>
                @endif
            </details>
            @foreach (['every_days', 'month_nth', 'month_weekday', 'month_day', 'dates'] as $field)
                <div class="invalid" data-fault="{{ $field }}" role="alert">{{ $errors->first($field) }}</div>
            @endforeach
            <div class="invalid" data-fault="weekdays" role="alert">{{ $errors->first('weekdays') }}</div>
            <div class="invalid" data-fault="every" role="alert">{{ $errors->first('every') }}</div>
            <div class="invalid" data-fault="kind" role="alert">{{ $errors->first('kind') }}</div>
        </fieldset>
        @php $at = old('at', $series?->period !== null ? 'period' : 'clock'); @endphp
        <fieldset>
            <legend>From – to</legend>
            @if ($dayPlan)
                <div class="choice"><input class="form-check-input mt-0" type="radio" name="at" id="at-period" value="period"
                        @checked($at === 'period')><label for="at-period">in period</label><select class="form-select w-auto"
                        name="period" aria-label="Period">
                        @foreach ($dayPlan->periods as $p)
                            <option value="{{ $p->name }}" @selected(old('period', $series?->period) === $p->name)>{{ $p->name }},
                                {{ TypedTime::format($p->start) }}–{{ TypedTime::format($p->end) }}</option>
                        @endforeach
                    </select>
                </div>
                <div class="invalid" data-fault="period" role="alert">{{ $errors->first('period') }}</div>
            @endif
            <div class="inline">
                @if ($dayPlan)
                    <input class="form-check-input mt-0" type="radio" name="at" id="at-clock" value="clock"
                        @checked($at === 'clock') aria-label="At a clock time">
                @endif
                <input class="form-control time" name="start_time" aria-label="Starts at" autocomplete="off" placeholder="9:05"
                    value="{{ old('start_time', $plan ? TypedTime::format($plan->startMinute) : '') }}">–
                <input class="form-control time" name="end_time" aria-label="Ends at" autocomplete="off" placeholder="9:50"
                    value="{{ old('end_time', $plan ? TypedTime::format($plan->startMinute + $plan->minutes) : '') }}"><span
                    class="quiet">{{ ($plan->zone ?? $zone)->place() }} time</span>
            </div>
            <div class="invalid" data-fault="start_time" role="alert">{{ $errors->first('start_time') }}</div>
            <div class="invalid" data-fault="end_time" role="alert">{{ $errors->first('end_time') }}</div>
        </fieldset>
        <fieldset>
            <legend>First day</legend>
            <x-date name="starts_on" label="First day" :in="$term" :value="$firstDay" />

            <div class="invalid" data-fault="starts_on" role="alert">{{ $errors->first('starts_on') }}</div>
        </fieldset>
        <fieldset>
            <legend>Ends</legend>
            <div class="choice"><input class="form-check-input mt-0" type="radio" name="end_kind" id="e-term" value="term"
                    @checked($endKind === 'term')><label for="e-term">with the term, {{ $term->last->short() }}</label></div>
            <div class="choice"><input class="form-check-input mt-0" type="radio" name="end_kind" id="e-date" value="date"
                    @checked($endKind === 'date')><label for="e-date">on</label>
                <x-date name="ends_on" label="Last day" :in="$term" :value="$ends['date'] ?? $term->last->iso()" />
            </div>
            <div class="choice"><input class="form-check-input mt-0" type="radio" name="end_kind" id="e-held" value="held"
                    @checked($endKind === 'held')><label for="e-held">after</label><input class="form-control n" name="count"
                    inputmode="numeric" aria-label="Sessions held"
                    value="{{ old('count', $ends['kind'] === 'held' ? $ends['n'] : '') }}"><span class="quiet">sessions held</span>
            </div>
            @if ($ends['kind'] === 'counted')
                <div class="choice"><input class="form-check-input mt-0" type="radio" name="end_kind" id="e-keep" value="keep"
                        @checked($endKind === 'keep')><label for="e-keep">as imported: after {{ $ends['n'] }} dates, closed days
                        counted</label></div>
            @endif
            <div class="invalid" data-fault="ends_on" role="alert">{{ $errors->first('ends_on') }}</div>
            <div class="invalid" data-fault="count" role="alert">{{ $errors->first('count') }}</div>
        </fieldset>
        @if ($series && $nextDay)
            <fieldset>
                <legend>How far does the change go?</legend>
                <div class="choice"><input class="form-check-input mt-0" type="radio" name="reach" id="r-whole" value="whole"
                        @checked(old('reach', 'whole') === 'whole')><label for="r-whole">the whole series</label></div>
                <div class="choice"><input class="form-check-input mt-0" type="radio" name="reach" id="r-later" value="later"
                        @checked(old('reach') === 'later')><label for="r-later">this and later ones, from</label>
                    <x-date name="from_day" label="First day that changes" :min="$nextDay" :max="$term->last->iso()" :value="$nextDay" />
                </div>
                <div class="invalid" data-fault="from_day" role="alert">{{ $errors->first('from_day') }}</div>
            </fieldset>
        @endif
        <div class="inline"><button class="btn btn-main">{{ $series ? 'Save' : 'Plan this series' }}</button><a class="btn btn-side"
                href="{{ route('section', $section) }}">Cancel</a>
            @if ($series)
                <button class="btn btn-wrong ms-auto" form="delete-series">Delete this series</button>
            @endif
        </div>
    </div>
    <div class="made">
        <h3>What this makes</h3>
        <div class="invalid" data-fault="form" role="alert">{{ $errors->first('form') }}</div>
        <div x-ref="made" aria-live="polite" class="quiet">Choose days and times, and it is shown here.</div>
        @if ($free !== [])
            <h3 class="mt-3">Free times for
                {{ $row->status->roster === 1 ? 'the student' : 'all ' . $row->status->roster . ' students' }}
                and {{ $teachers->where('role', '!=', 'observer')->map(fn($t) => $t->person->shortName())->implode(', ') }}</h3>
            <ul class="free" aria-label="Free times">
                @foreach ($free as $f)
                    <li><b>{{ $f->words() }}</b><span
                            class="{{ $f->clear === $f->sessions && $f->students === 0 ? 'good' : 'quiet' }}">{{ $f->cost() }}</span><button
                            type="button" class="btn btn-side py-0"
                            data-free="{{ $f->start }} {{ $f->minutes }} {{ $f->shift }}" data-period="{{ $f->period }}"
                            aria-label="Take {{ $f->words() }}">Take</button></li>
                @endforeach
            </ul>
            <p class="small mb-0">Taking one fills in the form; nothing moves before it is saved, and sessions that have begun stay.</p>
        @endif
    </div>
</form>
@if ($series)
    <form id="delete-series" method="post" action="{{ route('series.destroy', [$section, $series]) }}">@csrf @method('delete')</form>
@endif
