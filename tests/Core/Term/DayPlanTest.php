<?php

use Nomada\Core\Fault;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Term\ShortDay;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\RotationPattern;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\WeeklyPattern;
use Tests\Core\Scenario;
use Tests\Support\English;

function termWith(?Rotation $rotation = null, ?DayPlan $plan = null, array $shortDays = []): Term
{
    $own = Scenario::term();

    return new Term(
        $own->title,
        $own->first,
        $own->last,
        $own->zone,
        $own->closures,
        [],
        $plan,
        $shortDays,
        $rotation,
    );
}

test('a day plan is read as it is typed, one period a line', function () {
    $plan = DayPlan::read(
        'School day',
        "Reading 8:45 – 9:00\n1, 9.00-9.45\n2 10:00 to 10:45\n\nSea time 1:15pm-2pm",
    );

    expect($plan->typed())
        ->toBe("Reading 08:45-09:00\n1 09:00-09:45\n2 10:00-10:45\nSea time 13:15-14:00")
        ->and($plan->period('sea TIME')?->minutes())
        ->toBe(45)
        ->and(DayPlan::from('School day', $plan->toArray()))
        ->toEqual($plan)
        ->and($plan->opens())
        ->toBe(525)
        ->and($plan->closes())
        ->toBe(840);
});

test('a day plan that cannot be says why', function (string $typed, string $words) {
    expect(fn () => DayPlan::read('Plan', $typed))->toFault($words);
})->with([
    ["1 9:00-9:45\n2 9:30-10:15", 'The periods 1 and 2 overlap: 1 ends at 09:45, 2 starts at 09:30.'],
    ["1 9:00-9:45\n1 10:00-10:45", 'Two periods are called 1.'],
    ['1 9:45-9:00', 'Line 1: The period 1 ends before it starts.'],
    ["1 9:00-9:45\nlunch", 'Line 2 is not a period.'],
    ['1 9:00-25:00', 'Line 1: "25:00" is not a time of day'],
    ['', 'List the periods'],
]);

test('rotation days count open days only, and a pin sets the count', function () {
    $term = termWith(new Rotation(false, 3, false, [LocalDate::parse('2027-01-20')->day => 1]));
    $on = fn (string $iso): ?string => $term->rotationLabel(LocalDate::parse($iso)->day);

    expect([
        $on('2027-01-11'),
        $on('2027-01-12'),
        $on('2027-01-13'),
        $on('2027-01-14'),
        $on('2027-01-19'),
        $on('2027-01-20'),
        $on('2027-01-21'),
    ])
        ->toBe(['1', '2', '3', '1', '1', '1', '2'])
        // The staff day uses none up, and neither does the weekend.
        ->and([$on('2027-01-28'), $on('2027-01-29'), $on('2027-02-01')])
        ->toBe(['1', null, '2']);
});

test('rotation weeks count teaching weeks with an open day', function () {
    $term = termWith(new Rotation(true, 2, true));
    $on = fn (string $iso): ?string => $term->rotationLabel(LocalDate::parse($iso)->day);

    // The two weeks of Easter count for neither.
    expect([
        $on('2027-01-11'),
        $on('2027-01-18'),
        $on('2027-02-15'),
        $on('2027-03-15'),
        $on('2027-03-22'),
        $on('2027-04-05'),
        $on('2027-04-12'),
    ])->toBe(['A', 'B', 'B', 'B', null, 'A', 'B']);
});

test('rotations that make no sense are refused', function (callable $make) {
    expect($make)->toThrow(Fault::class);
})->with([
    fn () => new Rotation(false, 0, true),
    fn () => new Rotation(false, 1, true),
    fn () => new Rotation(false, 13, true),
    fn () => new Rotation(false, 3, true, [20000 => 4]),
    fn () => new RotationPattern(false, []),
    fn () => new RotationPattern(true, ['A']),
]);

test('rotations over random terms are what counting on one\'s fingers gives', function () {
    mt_srand(313);
    for ($round = 0; $round < Scenario::rounds(200); $round++) {
        $first = LocalDate::parse('2026-09-01')->plus(mt_rand(0, 300));
        $last = $first->plus(mt_rand(20, 120));
        $closures = array_map(function () use ($first): Closure {
            $from = $first->plus(mt_rand(0, 100));

            return new Closure($from, $from->plus(mt_rand(0, 12)), 'closed');
        }, range(1, mt_rand(1, 4)));
        $n = mt_rand(2, 6);
        $pins = [];
        $bare = new Term('t', $first, $last, Zone::named('Europe/Madrid'), $closures);
        if ($bare->openDays() === []) {
            continue;
        }
        foreach (range(1, mt_rand(1, 3)) as $i) {
            $pins[$bare->openDays()[mt_rand(0, count($bare->openDays()) - 1)]] = mt_rand(1, $n);
        }
        $byWeek = mt_rand(0, 1) === 1;
        $term = new Term(
            't',
            $first,
            $last,
            $bare->zone,
            $closures,
            [],
            null,
            [],
            new Rotation($byWeek, $n, false, $pins),
        );
        $count = 0;
        $week = -1;
        for ($day = $first->day; $day <= $last->day; $day++) {
            if ($bare->closedBecause($day) !== null) {
                continue;
            }
            $isNew = ! $byWeek || $bare->weekOf($day) !== $week;
            $week = $bare->weekOf($day);
            $count = $isNew ? ($count % $n) + 1 : $count;
            if ($byWeek) {
                // A pin on any day of the week pins the week; of two in one week the later one counts.
                $inWeek = array_filter(
                    $pins,
                    fn (int $d): bool => $bare->weekOf($d) === $week,
                    ARRAY_FILTER_USE_KEY,
                );
                if ($isNew && $inWeek !== []) {
                    $count = end($inWeek);
                }
            } else {
                $count = $pins[$day] ?? $count;
            }
            expect($term->rotationOn($day))->toBe($count);
        }
    }
});

test('a series on rotation days loses nothing; one on weekdays of a rotation week does', function () {
    $days = Scenario::plan(new RotationPattern(false, ['b']), '2027-01-11')->sessions(
        termWith(new Rotation(false, 2, true)),
    );
    $weeks = Scenario::plan(new RotationPattern(true, ['B'], [2]), '2027-01-11')->sessions(
        termWith(new Rotation(true, 2, true)),
    );

    expect($days)
        ->toHaveCount(30)
        ->and(Scenario::dates($days, SessionState::Lost))
        ->toBe([])
        ->and(Scenario::dates($days)[0])
        ->toBe('2027-01-12')
        ->and(Scenario::dates($weeks))
        ->toBe(['2027-01-19', '2027-02-02', '2027-03-02', '2027-03-16', '2027-04-13'])
        ->and(Scenario::dates($weeks, SessionState::Lost))
        ->toBe(['2027-02-16'])
        ->and(English::said((new RotationPattern(true, ['B'], [2]))->said()))
        ->toBe('Week B, Tue')
        ->and(Patterns::from((new RotationPattern(false, ['A']))->toArray()))
        ->toEqual(new RotationPattern(false, ['A']))
        // Without such a rotation there is no such day.
        ->and(Scenario::plan(new RotationPattern(true, ['B'], [2]))->sessions(Scenario::term()))
        ->toBe([]);
});

test('a series tied to a period follows each day\'s plan, and loses days whose plan lacks it', function () {
    $usual = DayPlan::read('Usual', "1 9:00-9:45\n5 14:00-14:45");
    $short = DayPlan::read('Short', '1 9:00-9:30');
    $term = termWith(null, $usual, [new ShortDay(LocalDate::parse('2027-03-04'), $short, 'Market')]);
    $plan = fn (string $period): SeriesPlan => new SeriesPlan(
        new WeeklyPattern([4]),
        LocalDate::parse('2027-02-25'),
        SeriesEnd::onDate(LocalDate::parse('2027-03-11')),
        540,
        45,
        $term->zone,
        $period,
    );
    $of = fn (SeriesPlan $p): array => array_map(
        fn (PlannedSession $s): string => $term->zone->clock($s->start).
            '–'.
            $term->zone->clock($s->end).
            ' '.
            $s->state->value.
            ' '.
            $s->reason,
        $p->sessions($term),
    );

    expect($of($plan('1')))
        ->toBe(['09:00–09:45 planned ', '09:00–09:30 planned ', '09:00–09:45 planned '])
        ->and($of($plan('5'))[1])
        ->toBe('09:00–09:45 lost =no_period|5|Short')
        ->and(English::said($plan('1')->said()))
        ->toBe('Thu period 1, 09:00–09:45')
        ->and(SeriesPlan::from($plan('5')->toArray()))
        ->toEqual($plan('5'))
        ->and($term->hoursOn(LocalDate::parse('2027-03-04')->day))
        ->toBe([420, 570]);
});
