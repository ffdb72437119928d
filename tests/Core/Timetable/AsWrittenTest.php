<?php

use Nomada\Core\Fault;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Period;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Term\ShortDay;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\HostedSeries;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\RotationPattern;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\Topics;
use Nomada\Core\Timetable\TypedSpan;
use Nomada\Core\Timetable\WeeklyPattern;
use Tests\Core\Scenario;
use Tests\Support\English;

// What is kept and sent of the timetable, exactly as it is written: every kind, every field, what is left out, and
// what is refused, under the name of its field.

/** The name of the field under which something is refused, and what is said; empty where it is taken. */
function refused(callable $act): string
{
    try {
        $act();

        return '';
    } catch (Fault $e) {
        return "$e->field: ".English::of($e).'';
    }
}

/** A term with two rotation weeks, a plan of two periods, and a short day without the second. */
function rotatingTerm(bool $byWeek = true, array $opened = []): Term
{
    $short = new DayPlan('Short', [new Period('1', 540, 570)]);

    return new Term(
        'Spring',
        LocalDate::parse('2027-01-11'),
        LocalDate::parse('2027-02-05'),
        Zone::named('Europe/Madrid'),
        [new Nomada\Core\Term\Closure(LocalDate::parse('2027-01-29'), LocalDate::parse('2027-01-29'), 'Staff day')],
        $opened,
        new DayPlan('Usual', [new Period('1', 540, 585), new Period('2', 600, 650)]),
        [new ShortDay(LocalDate::parse('2027-01-19'), $short, 'Fair')],
        new Rotation($byWeek, 2, true),
    );
}

test('each kind of pattern reads back what it writes, and says it', function (
    array $plain,
    array $stands,
    array $says,
) {
    $pattern = Patterns::from($plain);
    expect($pattern->toArray())
        ->toBe($stands)
        ->and(Patterns::from($pattern->toArray())->toArray())
        ->toBe($stands)
        ->and([English::said($pattern->said()), English::said($pattern->spoken()), $pattern->rule()])
        ->toBe($says);
})->with([
    'weekly, as a form sends it' => [
        ['kind' => 'weekly', 'weekdays' => ['4', '2', '2'], 'every' => '1'],
        ['kind' => 'weekly', 'weekdays' => [2, 4], 'every' => 1],
        ['Tue Thu', 'Every Tuesday and Thursday', 'FREQ=WEEKLY;BYDAY=TU,TH'],
    ],
    'weekly, of one day, without the weeks' => [
        ['kind' => 'weekly', 'weekdays' => 7],
        ['kind' => 'weekly', 'weekdays' => [7], 'every' => 1],
        ['Sun', 'Every Sunday', 'FREQ=WEEKLY;BYDAY=SU'],
    ],
    'every weekday' => [
        ['kind' => 'weekly', 'weekdays' => [5, 4, 3, 2, 1]],
        ['kind' => 'weekly', 'weekdays' => [1, 2, 3, 4, 5], 'every' => 1],
        ['Every weekday', 'Every weekday', 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR'],
    ],
    'every weekday of every second week' => [
        ['kind' => 'weekly', 'weekdays' => [1, 2, 3, 4, 5], 'every' => 2],
        ['kind' => 'weekly', 'weekdays' => [1, 2, 3, 4, 5], 'every' => 2],
        [
            'Every second week, Mon to Fri',
            'Every second weekday of the week',
            'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,TU,WE,TH,FR',
        ],
    ],
    'three days of every ninth week' => [
        ['kind' => 'weekly', 'weekdays' => [6, 1, 3], 'every' => 9],
        ['kind' => 'weekly', 'weekdays' => [1, 3, 6], 'every' => 9],
        [
            'Every 9th week, Mon Wed Sat',
            'Every 9th Monday, Wednesday and Saturday',
            'FREQ=WEEKLY;INTERVAL=9;BYDAY=MO,WE,SA',
        ],
    ],
    'school days' => [
        ['kind' => 'open-days'],
        ['kind' => 'open-days'],
        ['Every school day', 'Every school day', 'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR'],
    ],
    'dates' => [
        ['kind' => 'dates', 'dates' => ['2027-02-18', '2027-01-14']],
        ['kind' => 'dates', 'dates' => ['2027-01-14', '2027-02-18']],
        ['2 dates', 'On Thu 14 Jan, Thu 18 Feb', null],
    ],
    'rotation days' => [
        ['kind' => 'rotation', 'labels' => ['b', 'A', 'B']],
        ['kind' => 'rotation', 'by_week' => false, 'labels' => ['B', 'A'], 'weekdays' => []],
        ['Day B A', 'Rotation days B and A', null],
    ],
    'weekdays of one rotation week' => [
        ['kind' => 'rotation', 'by_week' => '1', 'labels' => 'a', 'weekdays' => ['4', '2', '4']],
        ['kind' => 'rotation', 'by_week' => true, 'labels' => ['A'], 'weekdays' => [2, 4]],
        ['Week A, Tue Thu', 'Rotation week A, Tue Thu', null],
    ],
    'a rule of none of our kinds' => [
        ['kind' => 'rule', 'rule' => 'FREQ=MONTHLY;BYDAY=-1FR', 'anchor' => '2027-01-29'],
        ['kind' => 'rule', 'rule' => 'FREQ=MONTHLY;BYDAY=-1FR', 'anchor' => '2027-01-29'],
        ['Every month, last Fri', 'Every month, last Fri', 'FREQ=MONTHLY;BYDAY=-1FR'],
    ],
    'a rule that is one of ours' => [
        ['kind' => 'rule', 'rule' => 'FREQ=WEEKLY', 'anchor' => '2027-01-13'],
        ['kind' => 'weekly', 'weekdays' => [3], 'every' => 1],
        ['Wed', 'Every Wednesday', 'FREQ=WEEKLY;BYDAY=WE'],
    ],
]);

test('what no pattern says is refused under the field that says how to mend it', function (
    callable $act,
    string $field,
) {
    expect(strtok(refused($act), ':'))->toBe($field);
})->with([
    'no kind' => [fn () => Patterns::from([]), 'kind'],
    'another kind' => [fn () => Patterns::from(['kind' => 'moon']), 'kind'],
    'no weekday' => [fn () => Patterns::from(['kind' => 'weekly']), 'weekdays'],
    'an eighth weekday' => [fn () => new WeeklyPattern([1, 8]), 'weekdays'],
    'weekday nought' => [fn () => new WeeklyPattern([0, 1]), 'weekdays'],
    'weeks nought' => [fn () => new WeeklyPattern([1], 0), 'every'],
    'weeks 27' => [fn () => new WeeklyPattern([1], 27), 'every'],
    'no rotation day' => [fn () => Patterns::from(['kind' => 'rotation']), 'rotation'],
    'no weekday of a rotation week' => [
        fn () => Patterns::from(['kind' => 'rotation', 'by_week' => true, 'labels' => ['A']]),
        'weekdays',
    ],
    'every nought days' => [fn () => Patterns::everyDays(0, LocalDate::parse('2027-01-11')), 'every_days'],
    'every 61 days' => [fn () => Patterns::everyDays(61, LocalDate::parse('2027-01-11')), 'every_days'],
    'a sixth Monday' => [fn () => Patterns::monthWeekday(6, 1, LocalDate::parse('2027-01-11')), 'month_nth'],
    'a Monday nought' => [fn () => Patterns::monthWeekday(0, 1, LocalDate::parse('2027-01-11')), 'month_nth'],
    'the last but one' => [fn () => Patterns::monthWeekday(-2, 1, LocalDate::parse('2027-01-11')), 'month_nth'],
    'no such weekday' => [fn () => Patterns::monthWeekday(1, 8, LocalDate::parse('2027-01-11')), 'month_weekday'],
    'day nought' => [fn () => Patterns::monthDay(0, LocalDate::parse('2027-01-11')), 'month_day'],
    'day 32' => [fn () => Patterns::monthDay(32, LocalDate::parse('2027-01-11')), 'month_day'],
    'no end' => [fn () => SeriesEnd::from([]), 'end'],
    'nought sessions' => [fn () => SeriesEnd::from(['kind' => 'held']), 'count'],
    'nought dates' => [fn () => SeriesEnd::from(['kind' => 'counted', 'n' => 0]), 'count'],
    '5,001 sessions' => [fn () => SeriesEnd::afterHeld(5001), 'count'],
    'no minute' => [fn () => Scenario::plan([1], minutes: 0), 'end_time'],
    'more than twelve hours' => [fn () => Scenario::plan([1], minutes: 721), 'end_time'],
    'before midnight' => [fn () => Scenario::plan([1], minute: -1), 'start_time'],
    'at midnight of the next day' => [fn () => Scenario::plan([1], minute: 1440), 'start_time'],
    'an end before the beginning' => [
        fn () => Scenario::plan([1], '2027-01-12', SeriesEnd::onDate(LocalDate::parse('2027-01-11'))),
        'ends_on',
    ],
]);

test('the utmost that is taken', function (callable $act) {
    expect(refused($act))->toBe('');
})->with([
    'every 26th week' => [fn () => new WeeklyPattern([1, 7], 26)],
    'every 60th day' => [fn () => Patterns::everyDays(60, LocalDate::parse('2027-01-11'))],
    'every day' => [fn () => Patterns::everyDays(1, LocalDate::parse('2027-01-11'))],
    'day 31' => [fn () => Patterns::monthDay(31, LocalDate::parse('2027-01-11'))],
    'day 1' => [fn () => Patterns::monthDay(1, LocalDate::parse('2027-01-11'))],
    '5,000 sessions' => [fn () => SeriesEnd::afterHeld(5000)],
    'one session' => [fn () => SeriesEnd::afterCounted(1)],
    'twelve hours from midnight' => [fn () => Scenario::plan([1], minute: 0, minutes: 720)],
    'a minute before the next midnight' => [fn () => Scenario::plan([1], minute: 1439, minutes: 1)],
    'ending on its first day' => [
        fn () => Scenario::plan([1], '2027-01-11', SeriesEnd::onDate(LocalDate::parse('2027-01-11'))),
    ],
]);

test('weekdays and days of a month are written as the rule of a calendar', function () {
    $first = LocalDate::parse('2027-01-11');
    $rules = [];
    foreach ([1, 2, 3, 4, 5, -1] as $n) {
        foreach (range(1, 7) as $weekday) {
            $rules[] = substr((string) Patterns::monthWeekday($n, $weekday, $first)->rule(), 19);
        }
    }
    $codes = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
    $wanted = array_merge(
        ...array_map(fn (string $n): array => array_map(fn (string $code): string => $n.$code, $codes), [
            '1',
            '2',
            '3',
            '4',
            '5',
            '-1',
        ]),
    );
    expect($rules)->toBe($wanted);
    expect(Patterns::monthDay(31, $first)->rule())->toBe('FREQ=MONTHLY;BYMONTHDAY=31');
    expect(Patterns::everyDays(10, $first)->rule())->toBe('FREQ=DAILY;INTERVAL=10');
    foreach ($codes as $n => $code) {
        expect(WeeklyPattern::weekday($code))->toBe($n + 1);
    }
    expect(WeeklyPattern::weekday('XX'))->toBe(0);
    $weeks = fn (int $n): string => substr(English::said((new WeeklyPattern([1], $n))->said()), 6, -10);
    expect(array_map($weeks, [2, 3, 4, 5, 6, 7, 8, 9, 11, 12, 13, 19, 20, 21, 22, 23, 24]))->toBe([
        'second',
        'third',
        'fourth',
        'fifth',
        'sixth',
        'seventh',
        'eighth',
        '9th',
        '11th',
        '12th',
        '13th',
        '19th',
        '20th',
        '21st',
        '22nd',
        '23rd',
        '24th',
    ]);
});

test('an end is written without what it has not', function () {
    $ends = [
        ['kind' => 'term'],
        ['kind' => 'date', 'date' => '2027-03-01'],
        ['kind' => 'held', 'n' => 12],
        ['kind' => 'counted', 'n' => 5],
    ];
    foreach ($ends as $plain) {
        expect(SeriesEnd::from($plain)->toArray())->toBe($plain);
    }
    expect(SeriesEnd::from(['kind' => 'held', 'n' => '12'])->n)->toBe(12);
    expect(SeriesEnd::from(['kind' => 'counted', 'n' => '5'])->n)->toBe(5);
});

test('a plan is kept whole, and read back the same', function () {
    $plain = [
        'pattern' => ['kind' => 'weekly', 'weekdays' => [2], 'every' => 1],
        'ends' => ['kind' => 'held', 'n' => 12],
        'starts_on' => '2027-01-12',
        'start_minute' => 600,
        'minutes' => 47,
        'time_zone' => 'Europe/Madrid',
        'period' => '2',
    ];
    $plan = SeriesPlan::from($plain);
    expect($plan->toArray())
        ->toBe($plain)
        ->and(English::said($plan->said()))
        ->toBe('Tue period 2, 10:00–10:47');
    // As a database gives it: figures as text, and no period.
    $typed = SeriesPlan::from(
        ['start_minute' => '600', 'minutes' => '47', 'period' => 2] + array_diff_key($plain, ['period' => 0]),
    );
    expect($typed->toArray())->toBe($plain);
    expect(SeriesPlan::from(['period' => null] + $plain)->period)->toBeNull();
    $until = $plan->until(LocalDate::parse('2027-02-02'));
    expect($until->toArray())->toBe([...$plain, 'ends' => ['kind' => 'date', 'date' => '2027-02-02']]);
});

test('a period gives each day its own time, and a day whose plan lacks it loses the session', function () {
    $plan = SeriesPlan::from([
        'pattern' => ['kind' => 'weekly', 'weekdays' => [2, 5], 'every' => 1],
        'ends' => ['kind' => 'term'],
        'starts_on' => '2027-01-11',
        'start_minute' => 615,
        'minutes' => 45,
        'time_zone' => 'Europe/Madrid',
        'period' => '2',
    ]);
    $told = fn (array $sessions): array => array_map(
        fn (PlannedSession $s): string => trim(
            (new LocalDate($s->day))->dayMonth().
                ' '.
                Zone::named('Europe/Madrid')->clock($s->start).
                ' '.
                intdiv($s->end - $s->start, 60).
                ' '.
                $s->state->value.
                ' '.
                $s->reason,
        ),
        $sessions,
    );
    expect($told($plan->sessions(rotatingTerm())))->toBe([
        '12 Jan 10:00 50 planned',
        '15 Jan 10:00 50 planned',
        '19 Jan 10:15 45 lost =no_period|2|Short',
        '22 Jan 10:00 50 planned',
        '26 Jan 10:00 50 planned',
        '29 Jan 10:00 50 lost Staff day',
        '2 Feb 10:00 50 planned',
        '5 Feb 10:00 50 planned',
    ]);
    $in = fn (array $ends): array => $told(
        SeriesPlan::from(['ends' => $ends] + $plan->toArray())->sessions(rotatingTerm()),
    );
    // Held ones alone count towards a number of sessions; a counted end counts lost ones too.
    expect(array_map(fn (string $s): string => strtok($s, ' '), $in(['kind' => 'held', 'n' => 4])))->toBe([
        '12',
        '15',
        '19',
        '22',
        '26',
    ]);
    expect(count($in(['kind' => 'counted', 'n' => 4])))->toBe(4);
    // Without a plan of periods nothing can be held.
    $bare = Scenario::term();
    expect($told($plan->sessions($bare))[0])->toBe('12 Jan 10:15 45 lost =no_plan');
});

test('a Saturday is a session where the school opens it, and on the others nothing is lost', function () {
    $opened = [LocalDate::parse('2027-01-16'), LocalDate::parse('2027-01-30')];
    $days = fn (?string $period, array $ends): array => array_map(
        fn (PlannedSession $s): int => (new LocalDate($s->day))->parts()[2],
        SeriesPlan::from([
            'pattern' => ['kind' => 'weekly', 'weekdays' => [6], 'every' => 1],
            'ends' => $ends,
            'starts_on' => '2027-01-11',
            'start_minute' => 540,
            'minutes' => 45,
            'time_zone' => 'Europe/Madrid',
            'period' => $period,
        ])->sessions(rotatingTerm(opened: $opened)),
    );
    foreach ([null, '1'] as $period) {
        expect($days($period, ['kind' => 'term']))->toBe([16, 30]);
        expect($days($period, ['kind' => 'held', 'n' => 1]))->toBe([16]);
        // Of three dates counted the second is a closed Saturday, which makes none.
        expect($days($period, ['kind' => 'counted', 'n' => 2]))->toBe([16]);
        expect($days($period, ['kind' => 'counted', 'n' => 3]))->toBe([16, 30]);
    }
});

test('how much of a plan lies outside the term', function (array $ends, string $from, int $outside) {
    $plan = SeriesPlan::from([
        'pattern' => ['kind' => 'weekly', 'weekdays' => [1], 'every' => 1],
        'ends' => $ends,
        'starts_on' => $from,
        'start_minute' => 540,
        'minutes' => 45,
        'time_zone' => 'Europe/Madrid',
    ]);
    expect($plan->outside(rotatingTerm()))->toBe($outside);
})->with([
    'within it' => [['kind' => 'term'], '2027-01-11', 0],
    'two weeks before it' => [['kind' => 'term'], '2026-12-28', 2],
    'till after it' => [['kind' => 'date', 'date' => '2027-02-22'], '2027-01-11', 3],
    'a number that fits' => [['kind' => 'held', 'n' => 4], '2027-01-11', 0],
    'two too many' => [['kind' => 'held', 'n' => 6], '2027-01-11', 2],
    'counted, three beyond' => [['kind' => 'counted', 'n' => 7], '2027-01-11', 3],
    'counted, from before it' => [['kind' => 'counted', 'n' => 3], '2026-12-28', 2],
    'a year beyond at most' => [['kind' => 'counted', 'n' => 500], '2027-01-11', 52],
]);

test('a rotation is on its days alone', function () {
    $days = fn (RotationPattern $pattern, Term $term): array => array_map(
        fn (int $day): int => (new LocalDate($day))->parts()[2],
        [...$pattern->days(LocalDate::parse('2027-01-01'), LocalDate::parse('2027-01-22'), $term)],
    );
    expect($days(new RotationPattern(true, ['b'], [5, 1]), rotatingTerm()))->toBe([18, 22]);
    expect($days(new RotationPattern(true, ['A', 'B'], [2]), rotatingTerm()))->toBe([12, 19]);
    expect($days(new RotationPattern(false, ['A']), rotatingTerm(false)))->toBe([11, 13, 15, 19, 21]);
    expect($days(new RotationPattern(false, ['B'], [2]), rotatingTerm(false)))->toBe([12]);
    // A label that the rotation has not is on no day; nor is a week where days rotate.
    expect($days(new RotationPattern(false, ['C']), rotatingTerm(false)))->toBe([]);
    expect($days(new RotationPattern(true, ['A'], [1]), rotatingTerm(false)))->toBe([]);
    expect($days(new RotationPattern(true, ['A'], [1]), Scenario::term()))->toBe([]);
});

test('what a session has of its own is told, and is an exception but for topic and account', function () {
    $day = LocalDate::parse('2027-02-18')->day;
    expect(
        array_map(fn (SessionOverrides $own): string => English::said($own->said() ?? []), [
            new SessionOverrides(slot: $day),
            new SessionOverrides(slot: $day, isExtra: true),
            new SessionOverrides(isExtra: true, makesUp: $day),
            new SessionOverrides(isExtra: true, chosen: [4]),
            new SessionOverrides(isExtra: true, makesUp: $day, chosen: [4, 5]),
            new SessionOverrides(title: 'Tides', chosen: [4]),
        ]),
    )->toBe([
        'moved from Thu 18 Feb',
        'extra',
        'makes up Thu 18 Feb',
        'extra, for 1 student',
        'makes up Thu 18 Feb, for 2 students',
        '',
    ]);
    $exceptions = [
        'slot' => 1,
        'isExtra' => true,
        'title' => 'Tides',
        'note' => 'Bring a net',
        'teacher' => 3,
        'door' => ['opens_before' => 5],
        'floor' => ['chat' => 'nobody'],
        'chosen' => [4],
        'cancelled' => 'storm',
    ];
    foreach ($exceptions as $name => $value) {
        $own = new SessionOverrides(...[$name => $value]);
        expect([$own->isException(), $own->isEmpty()])->toBe([true, false], $name);
    }
    foreach (['topic' => 'Tides', 'account' => 2] as $name => $value) {
        $own = new SessionOverrides(...[$name => $value]);
        expect([$own->isException(), $own->isEmpty()])->toBe([false, false], $name);
    }
    expect((new SessionOverrides())->isEmpty())->toBeTrue();
    $other = (new SessionOverrides(title: 'Tides', note: 'Bring a net', topic: 'Old', keepsTopic: true))->withTopic(
        'New',
    );
    expect([$other->title, $other->note, $other->topic, $other->keepsTopic])->toBe([
        'Tides',
        'Bring a net',
        'New',
        true,
    ]);
    expect($other->withTopic(null)->topic)->toBeNull();
});

test('topics are read a line each, without what stands before them', function () {
    expect(
        Topics::read("1. Tides\r\n 2) Rock pools\n\n- Kelp\n* Crabs\n• Whales\n– Seals\n12 monkeys\n3.5 metres"),
    )->toBe(['Tides', 'Rock pools', 'Kelp', 'Crabs', 'Whales', 'Seals', '12 monkeys', '3.5 metres']);
    expect(Topics::read(''))->toBe([]);
    expect(Topics::read(str_repeat('ñ', 200)))->toHaveCount(1);
    expect(refused(fn () => Topics::read("Tides\n".str_repeat('n', 201))))->toBe(
        'topics: Line 2 is longer than 200 characters. Write one topic per line.',
    );
    expect(Topics::read(implode("\n", range(1, 400))))->toHaveCount(400);
    expect(refused(fn () => Topics::read(implode("\n", range(1, 401)))))->toBe('topics: Enter up to 400 topics.');
});

test('topics that find no session, and a session in a list of topics', function () {
    $session = fn (int $day, SessionState $state, ?SessionOverrides $own = null): PlannedSession => new PlannedSession(
        $day,
        $day * 86400,
        $day * 86400 + 2700,
        $state,
        null,
        $own,
    );
    $sessions = [
        $session(1, SessionState::Planned),
        $session(2, SessionState::Lost),
        $session(3, SessionState::Planned),
    ];
    expect(array_map(fn (int $n): int => Topics::leftOver($n, $sessions), [0, 1, 2, 3, 5]))->toBe([0, 0, 0, 1, 3]);
    $day = LocalDate::parse('2027-02-09')->day;
    expect(
        array_map(fn (?SessionOverrides $own): string => Topics::line($session($day, SessionState::Planned, $own)), [
            new SessionOverrides(topic: 'Tides'),
            new SessionOverrides(title: 'Trip', topic: 'Tides'),
            null,
        ]),
    )->toBe(['Tue 9 Feb: Tides', 'Tue 9 Feb: Trip', 'Tue 9 Feb: ']);
    // Without moving, and where nothing was pasted, all stays as it is.
    expect(Topics::lay(['A', 'B'], $sessions, false, 0))->toBe($sessions);
    $topics = fn (array $laid): array => array_map(fn (PlannedSession $s): ?string => $s->own?->topic, $laid);
    expect($topics(Topics::lay(['A', 'B'], $sessions, true, 0)))->toBe(['A', null, 'B']);
    expect($topics(Topics::lay(['A', 'B', 'C'], $sessions, false, 86400, true)))->toBe([null, null, 'A']);
    expect($topics(Topics::lay(['A', 'B', 'C'], $sessions, false, 86400, true, true)))->toBe(['A', null, 'B']);
    // One that is not held keeps its topic where it is told to.
    $keeps = [
        $session(1, SessionState::Cancelled, new SessionOverrides(cancelled: 'storm', keepsTopic: true)),
        $sessions[2],
    ];
    expect($topics(Topics::lay(['A', 'B'], $keeps, true, 0)))->toBe(['A', 'B']);
});

test('a series runs as long as its longest session, in whole minutes', function (array $sessions, int $minutes) {
    $running = new HostedSeries(7, $sessions);
    expect([$running->longest, $running->people, $running->account])->toBe([$minutes, 0, null]);
})->with([
    'none' => [[], 0],
    'a second more than a minute' => [[[0, 61]], 2],
    'just a minute' => [[[0, 60]], 1],
    'a second less' => [[[0, 119]], 2],
    'the longest of several' => [[[0, 600], [1000, 3700], [5000, 5060]], 45],
]);

test('a span as it is typed', function (string $start, string $end, string $means) {
    $span = TypedSpan::read($start, $end, ['start', 'end']);
    expect("$span->start $span->end {$span->minutes()}")->toBe($means);
})->with([
    'two times' => ['9:05', '9:50', '545 590 45'],
    'both in the first field' => ['9:05-9:50', '', '545 590 45'],
    'with words between' => ['9:05 to 9:50', 'nothing', '545 590 45'],
    'until' => ['10:00 until 10:45', '', '600 645 45'],
    'a length' => ['9:05', '45 min', '545 590 45'],
    'another length' => ['9:05', '+45', '545 590 45'],
    'a length with a stop' => ['9:05', '45 mins.', '545 590 45'],
    'a length in minutes' => ['9:05', "45'", '545 590 45'],
    'till midnight' => ['20:00', '+240', '1200 1440 240'],
]);

test('a span that cannot be is refused under the field of its end', function (
    string $start,
    string $end,
    string $says,
) {
    expect(refused(fn () => TypedSpan::read($start, $end, ['start', 'end'])))->toBe($says);
})->with([
    'the same time' => ['10:00', '10:00', 'end: 10:00 is not after 10:00. Enter a later end.'],
    'backwards' => ['10:00', '9:00', 'end: 09:00 is not after 10:00. Enter a later end.'],
    'past midnight' => ['20:00', '+241', 'end: It would end after midnight. Enter an earlier end.'],
]);
