<?php

use Nomada\Core\Fault;
use Nomada\Core\Term\Because;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\OpenDaysPattern;
use Nomada\Core\Timetable\PlanHistory;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\ScheduleReconciliation;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\Shift;
use Nomada\Core\Timetable\Topics;
use Nomada\Core\Timetable\WeeklyPattern;
use Tests\Core\Scenario;
use Tests\Support\English;

function day(string $iso): int
{
    return LocalDate::parse($iso)->day;
}

/** @return list<string> "01-12 10:00" of planned sessions */
function laid(array $sessions, ?Term $term = null): array
{
    $zone = ($term ?? Scenario::term())->zone;

    return array_values(
        array_map(
            fn (PlannedSession $s): string => substr((new LocalDate($s->day))->iso(), 5).
                ' '.
                $zone->clock($s->start),
            array_filter($sessions, fn (PlannedSession $s): bool => $s->state === SessionState::Planned),
        ),
    );
}

test('from a day on another plan holds, and the first keeps what is before it', function () {
    $end = SeriesEnd::onDate(LocalDate::parse('2027-02-12'));
    $stretches = (new PlanHistory([Scenario::plan([2, 4], '2027-01-26', $end)]))->from(
        LocalDate::parse('2027-02-04'),
        Scenario::plan([5], '2027-01-11', $end, 660),
    );

    expect(laid($stretches->sessions(Scenario::term())))
        ->toBe(['01-26 10:00', '01-28 10:00', '02-02 10:00', '02-05 11:00', '02-12 11:00'])
        ->and(count($stretches->from(LocalDate::parse('2027-01-20'), Scenario::plan([1]))->plans))
        ->toBe(1);
});

test('what a series is said to meet by is what holds on a day, and from when it changes', function (
    ?string $today,
    string $says,
) {
    $stretches = new PlanHistory([
        Scenario::plan([2, 4], '2027-01-12'),
        Scenario::plan([3], '2027-02-03', null, 660),
        Scenario::plan([5], '2027-03-05', null, 720),
    ]);

    expect(English::said($stretches->said($today === null ? null : day($today))))
        ->toBe($says)
        ->and($stretches->last()->startMinute)
        ->toBe(720);
})->with(function (): array {
    $second = 'from Wed 3 Feb: Wed 11:00–11:45';
    $third = 'from Fri 5 Mar: Fri 12:00–12:45';

    return [
        'all of it' => [null, "Tue Thu 10:00–10:45, $second, $third"],
        'before it begins' => ['2027-01-04', "Tue Thu 10:00–10:45, $second, $third"],
        'its first day' => ['2027-01-12', "Tue Thu 10:00–10:45, $second, $third"],
        'the day before a change' => ['2027-02-02', "Tue Thu 10:00–10:45, $second, $third"],
        'the day of the change' => ['2027-02-03', "Wed 11:00–11:45, $third"],
        'the last change' => ['2027-03-05', 'Fri 12:00–12:45'],
        'long after' => ['2027-06-01', 'Fri 12:00–12:45'],
    ];
});

test('a plan from a day on takes the place of all that would begin there or later', function () {
    $three = new PlanHistory([
        Scenario::plan([2], '2027-01-12'),
        Scenario::plan([3], '2027-02-03'),
        Scenario::plan([4], '2027-03-04'),
    ]);
    $begins = fn (PlanHistory $s): array => array_map(fn (SeriesPlan $p): string => $p->from->iso(), $s->plans);

    // What begins later itself keeps its day; the plans stay a list, whichever of them goes.
    expect($begins($three->from(LocalDate::parse('2027-02-03'), Scenario::plan([5], '2027-01-11'))))
        ->toBe(['2027-01-12', '2027-02-03'])
        ->and($begins($three->from(LocalDate::parse('2027-02-04'), Scenario::plan([5], '2027-02-19'))))
        ->toBe(['2027-01-12', '2027-02-03', '2027-02-19'])
        ->and(array_keys($three->from(LocalDate::parse('2027-01-12'), Scenario::plan([5]))->plans))
        ->toBe([0]);
});

test('a move of this and later ones moves all of them as far, and leaves what is before', function () {
    $end = SeriesEnd::onDate(LocalDate::parse('2027-02-26'));
    $series = new PlanHistory([Scenario::plan([2, 4], '2027-02-02', $end)]);
    $term = Scenario::term();
    $shift = new Shift(day('2027-02-18'), day('2027-02-19'), 675, 45);

    expect(laid($shift->over($series, day('2027-02-18'), $term)->sessions($term)))
        ->toBe([
            '02-02 10:00',
            '02-04 10:00',
            '02-09 10:00',
            '02-11 10:00',
            '02-19 11:15',
            '02-24 11:15',
            '02-26 11:15',
        ])
        ->and(laid($shift->over($series, day('2027-02-02'), $term)->sessions($term)))
        ->toBe([
            '02-03 11:15',
            '02-05 11:15',
            '02-10 11:15',
            '02-12 11:15',
            '02-19 11:15',
            '02-24 11:15',
            '02-26 11:15',
        ]);
});

test('a move to an earlier day of the week takes the session itself along', function () {
    $series = new PlanHistory([
        Scenario::plan([4], '2027-02-04', SeriesEnd::onDate(LocalDate::parse('2027-03-05'))),
    ]);
    $term = Scenario::term();

    expect(
        laid(
            (new Shift(day('2027-02-18'), day('2027-02-18'), 540, 45))
                ->over($series, day('2027-02-18'), $term)
                ->sessions($term),
        ),
    )
        ->toBe(['02-04 10:00', '02-11 10:00', '02-18 09:00', '02-25 09:00', '03-04 09:00'])
        ->and(
            laid(
                (new Shift(day('2027-02-25'), day('2027-02-23'), 540, 45))
                    ->over($series, day('2027-02-25'), $term)
                    ->sessions($term),
            ),
        )
        ->toBe(['02-04 10:00', '02-11 10:00', '02-18 10:00', '02-23 09:00', '03-02 09:00']);
});

test('listed dates move as far; other patterns, and other weeks, say why not', function () {
    $term = Scenario::term();
    $dates = Scenario::plan(
        new DatesPattern([day('2027-02-18'), day('2027-03-04')]),
        '2027-02-18',
        SeriesEnd::onDate(LocalDate::parse('2027-03-04')),
    );

    expect(laid((new Shift(day('2027-02-18'), day('2027-02-25'), 600, 45))->plan($dates, $term)->sessions($term)))
        ->toBe(['02-25 10:00', '03-11 10:00'])
        ->and(
            fn () => (new Shift(day('2027-02-18'), day('2027-02-19'), 600, 45))->plan(
                Scenario::plan(new OpenDaysPattern()),
                $term,
            ),
        )
        ->toFault('This pattern has no weekdays to move.')
        ->and(
            fn () => (new Shift(day('2027-02-18'), day('2027-02-24'), 600, 45))->plan(Scenario::plan([2, 4]), $term),
        )
        ->toFault('another week')
        ->and(
            fn () => (new Shift(day('2027-02-18'), day('2027-02-19'), 600, 45))->plan(Scenario::plan([4, 5]), $term),
        )
        ->toFault('on a Sat, when school is closed')
        ->and(
            (new Shift(day('2027-02-18'), day('2027-02-18'), 660, 30))
                ->plan(Scenario::plan(new OpenDaysPattern()), $term)
                ->hours(),
        )
        ->toBe('11:00–11:30');
});

test('on another clock than the screen\'s, the plan is moved on its own', function () {
    $plan = Scenario::plan([2], zone: 'Africa/Casablanca', minute: 540);
    $shift = Shift::shown(day('2027-02-23'), day('2027-02-24'), 660, 45, Scenario::term()->zone, $plan->zone);

    // Casablanca is an hour behind Madrid in the middle of February.
    expect(English::said($shift->plan($plan, Scenario::term())->said()))->toBe('Wed 10:00–10:45');
});

test(
    'laying anew keeps what has begun and what was changed of single sessions, and lists what has no place',
    function () {
        $term = Scenario::term();
        $now = $term->zone->instant(day('2027-02-09'), 592);
        $plan = Scenario::plan([2, 4], '2027-02-02', SeriesEnd::onDate(LocalDate::parse('2027-03-05')));
        $standing = array_map(function (PlannedSession $s) use ($term): PlannedSession {
            return match ((new LocalDate($s->day))->iso()) {
                '2027-02-11' => $s->cancelled('ill'),
                '2027-02-18' => new PlannedSession(
                    day('2027-02-19'),
                    $term->zone->instant(day('2027-02-19'), 720),
                    $term->zone->instant(day('2027-02-19'), 765),
                    SessionState::Planned,
                    null,
                    new SessionOverrides($s->day),
                ),
                '2027-02-23' => $s->with(new SessionOverrides(title: 'Visit')),
                '2027-02-25' => $s->with(new SessionOverrides(teacher: 7)),
                default => $s,
            };
        }, $plan->sessions($term));
        $extra = new PlannedSession(
            day('2027-02-26'),
            $term->zone->instant(day('2027-02-26'), 900),
            $term->zone->instant(day('2027-02-26'), 945),
            SessionState::Planned,
            null,
            new SessionOverrides(isExtra: true, makesUp: day('2027-02-16')),
        );
        $laying = ScheduleReconciliation::reconcile(
            Scenario::plan([4], '2027-02-02', null, 660)->sessions($term),
            [...$standing, $extra],
            $term,
            $now,
        );

        // Tuesdays are dropped but for those that have begun; Thursdays move; the extra one stays.
        expect(array_slice(laid($laying->sessions), 0, 6))
            ->toBe(['02-02 10:00', '02-04 10:00', '02-19 12:00', '02-25 11:00', '02-26 15:00', '03-04 11:00'])
            ->and(array_map(fn ($s): string => English::said(ScheduleReconciliation::told($s)), $laying->fallen))
            ->toBe(['Tue 23 Feb, "Visit"'])
            ->and($laying->effect)
            ->toBe(['stay' => 2, 'move' => 2, 'come' => 5, 'go' => 3, 'lost' => 0, 'begun' => 2])
            ->and(Scenario::dates($laying->sessions, SessionState::Cancelled))
            ->toBe(['2027-02-11']);
    },
);

test('laying the same plan again changes nothing, over random plans and exceptions', function () {
    mt_srand(808);
    $term = Scenario::term();
    for ($round = 0; $round < Scenario::rounds(200); $round++) {
        $plan = new SeriesPlan(
            new WeeklyPattern(array_map(fn (): int => mt_rand(1, 5), range(1, mt_rand(1, 4))), mt_rand(1, 2)),
            $term->first->plus(mt_rand(0, 30)),
            SeriesEnd::withTerm(),
            mt_rand(480, 960),
            mt_rand(20, 90),
            $term->zone,
        );
        $now = $term->zone->instant($term->first->day + mt_rand(0, 80), 600);
        $standing = ScheduleReconciliation::reconcile($plan->sessions($term), [], $term, $now)->sessions;
        $taken = [];
        foreach ($standing as $i => $s) {
            $to = $term->openDays()[mt_rand(0, 60)];
            $standing[$i] = match ($s->state === SessionState::Planned && $s->start > $now ? mt_rand(0, 6) : 6) {
                0 => $s->cancelled('x'),
                1 => $term->zone->instant($to, 300) > $now && ! isset($taken[$to])
                    ? new PlannedSession(
                        $to,
                        $term->zone->instant($to, 300),
                        $term->zone->instant($to, 345),
                        SessionState::Planned,
                        null,
                        new SessionOverrides($s->day),
                    )
                    : $s,
                2 => $s->with(new SessionOverrides(note: 'Bring a net')),
                default => $s,
            };
            $taken[$standing[$i]->own?->slot === null ? -1 : $to] = true;
        }
        usort(
            $standing,
            fn (PlannedSession $a, PlannedSession $b): int => [$a->start, $a->day] <=> [$b->start, $b->day],
        );
        $again = ScheduleReconciliation::reconcile($plan->sessions($term), $standing, $term, $now);

        expect($again->sessions)
            ->toEqual($standing)
            ->and($again->fallen)
            ->toBe([])
            ->and(array_sum(array_diff_key($again->effect, ['stay' => 0, 'begun' => 0])))
            ->toBe(0);
    }
});

/** The term of the scenario with more days closed. */
function closing(array $days): Term
{
    $term = Scenario::term();
    $more = array_map(fn (int $d): Closure => new Closure(new LocalDate($d), new LocalDate($d), 'Storm'), $days);

    return new Term($term->title, $term->first, $term->last, $term->zone, [...$term->closures, ...$more]);
}

/** A session at another day or time, or an extra one where `$own` says so. */
function placed(string $iso, int $minute, SessionOverrides $own, int $minutes = 45): PlannedSession
{
    $at = Scenario::term()->zone->instant(day($iso), $minute);

    return new PlannedSession(day($iso), $at, $at + 60 * $minutes, SessionState::Planned, null, $own);
}

test('what was decided of a session waits on a closed day, and holds again when the day opens', function (
    string $closed,
    PlannedSession $own,
    array $told,
) {
    $plan = Scenario::plan([2, 4], '2027-02-02', SeriesEnd::onDate(LocalDate::parse('2027-03-26')));
    $isOwn = fn (PlannedSession $s): bool => $s->slot() === $own->slot();
    $others = array_filter($plan->sessions(Scenario::term()), fn (PlannedSession $s): bool => ! $isOwn($s));
    $before = ScheduleReconciliation::reconcile(
        $plan->sessions(Scenario::term()),
        [...$others, $own],
        Scenario::term(),
        0,
    );
    $term = closing([day($closed)]);
    $shut = ScheduleReconciliation::reconcile($plan->sessions($term), $before->sessions, $term, 0);
    $open = ScheduleReconciliation::reconcile(
        $plan->sessions(Scenario::term()),
        $shut->sessions,
        Scenario::term(),
        0,
    );
    $there = array_values(array_filter($shut->sessions, $isOwn))[0];

    expect([$there->state, $there->reason, $there->day])
        ->toBe([SessionState::Lost, 'Storm', day($closed)])
        ->and($there->own)
        ->toEqual($own->own)
        ->and($shut->fallen)
        ->toBe([])
        ->and(array_map(fn ($s): string => English::said(ScheduleReconciliation::told($s)), $shut->waiting))
        ->toBe($told)
        ->and($shut->effect['lost'])
        ->toBe($own->state === SessionState::Planned ? 1 : 0)
        ->and($open->sessions)
        ->toEqual($before->sessions)
        ->and($open->waiting)
        ->toBe([]);
})->with(
    fn (): array => [
        'moved' => [
            '2027-02-26',
            placed('2027-02-26', 660, new SessionOverrides(day('2027-02-25'))),
            ['Thu 25 Feb, moved to Fri 26 Feb'],
        ],
        'lengthened' => [
            '2027-02-25',
            placed('2027-02-25', 600, new SessionOverrides(day('2027-02-25')), 90),
            ['Thu 25 Feb, at another time'],
        ],
        'extra' => [
            '2027-02-26',
            placed('2027-02-26', 900, new SessionOverrides(isExtra: true)),
            ['Fri 26 Feb, extra'],
        ],
        'made up' => [
            '2027-02-26',
            placed('2027-02-26', 900, new SessionOverrides(isExtra: true, makesUp: day('2027-02-16'))),
            ['Fri 26 Feb, extra'],
        ],
        'told of' => [
            '2027-03-02',
            placed(
                '2027-03-02',
                600,
                new SessionOverrides(title: 'Visit', note: 'Boots', teacher: 7, door: ['x' => 1]),
            ),
            ['Tue 2 Mar, with another teacher, "Visit", with a note, with rules of its own'],
        ],
        'cancelled' => [
            '2027-03-02',
            placed('2027-03-02', 600, new SessionOverrides())->cancelled('ill'),
            ['Tue 2 Mar, cancelled'],
        ],
    ],
);

test('a moved session lives by its own moment: its old date may be past, or closed', function () {
    $plan = Scenario::plan([2, 4], '2027-02-02', SeriesEnd::onDate(LocalDate::parse('2027-03-05')));
    $moved = placed('2027-02-26', 660, new SessionOverrides(day('2027-02-23')));
    $standing = [
        ...array_filter(
            $plan->sessions(Scenario::term()),
            fn (PlannedSession $s): bool => $s->slot() !== day('2027-02-23'),
        ),
        $moved,
    ];
    $now = Scenario::term()->zone->instant(day('2027-02-24'), 600);
    $term = closing([day('2027-02-23'), day('2027-04-07')]);

    foreach ([[Scenario::term(), $now], [$term, $now], [$term, 0]] as [$calendar, $at]) {
        $laying = ScheduleReconciliation::reconcile($plan->sessions($calendar), $standing, $calendar, $at);
        expect($laying->sessions)->toContainEqual($moved)->and($laying->fallen)->toBe([]);
    }
});

test('no series overlaps itself: an extra session waits while the pattern has its time', function () {
    $extra = placed('2027-03-03', 740, new SessionOverrides(isExtra: true));
    $before = Scenario::plan([3], '2027-02-03', null, 600);
    $after = Scenario::plan([3], '2027-02-03', null, 720);
    $term = Scenario::term();
    $laid = ScheduleReconciliation::reconcile(
        $before->sessions($term),
        [...$before->sessions($term), $extra],
        $term,
        0,
    )->sessions;
    $moved = ScheduleReconciliation::reconcile($after->sessions($term), $laid, $term, 0);
    $waits = array_values(array_filter($moved->sessions, fn (PlannedSession $s): bool => $s->isExtra()))[0];

    expect([$waits->state, $waits->reason])
        ->toBe([SessionState::Lost, Because::OVERLAPS])
        ->and(array_map(fn ($s): string => English::said(ScheduleReconciliation::told($s)), $moved->waiting))
        ->toBe(['Wed 3 Mar, extra'])
        ->and(ScheduleReconciliation::reconcile($before->sessions($term), $moved->sessions, $term, 0)->sessions)
        ->toEqual($laid);
});

test('any closures and openings, in any order, give back what was; what has begun never changes', function () {
    mt_srand(29);
    $open = Scenario::term()->openDays();
    for ($round = 0; $round < Scenario::rounds(60); $round++) {
        $plan = new SeriesPlan(
            new WeeklyPattern(array_map(fn (): int => mt_rand(1, 5), range(1, mt_rand(1, 4))), mt_rand(1, 2)),
            Scenario::term()->first->plus(mt_rand(0, 30)),
            mt_rand(0, 1) ? SeriesEnd::withTerm() : SeriesEnd::afterHeld(mt_rand(5, 25)),
            mt_rand(480, 960),
            mt_rand(20, 90),
            Scenario::term()->zone,
        );
        $now = Scenario::term()->zone->instant($open[mt_rand(0, 30)], 600);
        $standing = [];
        foreach (
            ScheduleReconciliation::reconcile($plan->sessions(Scenario::term()), [], Scenario::term(), $now)
                ->sessions as $s
        ) {
            $day = (new LocalDate($open[mt_rand(0, 60)]))->iso();
            $standing[] = match ($s->state === SessionState::Planned && $s->start > $now ? mt_rand(0, 7) : 7) {
                0 => $s->cancelled('x'),
                1 => placed($day, mt_rand(400, 1100), new SessionOverrides($s->day)),
                2 => $s->with(new SessionOverrides(note: 'Bring a net')),
                3 => placed($day, mt_rand(400, 1100), new SessionOverrides(isExtra: true, makesUp: $s->day)),
                default => $s,
            };
        }
        $first = ScheduleReconciliation::reconcile(
            $plan->sessions(Scenario::term()),
            $standing,
            Scenario::term(),
            $now,
        )->sessions;
        $laid = $first;
        for ($step = 0; $step < 4; $step++) {
            $term = closing(array_map(fn (): int => $open[mt_rand(0, 60)], range(1, mt_rand(1, 6))));
            $laid = ScheduleReconciliation::reconcile($plan->sessions($term), $laid, $term, $now)->sessions;
            $held = array_filter($laid, fn (PlannedSession $s): bool => $s->state === SessionState::Planned);
            foreach ($held as $a) {
                foreach ($held as $b) {
                    expect($a === $b || $a->end <= $b->start || $b->end <= $a->start)->toBeTrue();
                }
            }
        }
        $back = ScheduleReconciliation::reconcile($plan->sessions(Scenario::term()), $laid, Scenario::term(), $now)
            ->sessions;
        $begun = fn (array $list): array => array_values(
            array_filter($list, fn (PlannedSession $s): bool => $s->start <= $now),
        );

        expect($back)->toEqual($first)->and($begun($laid))->toEqual($begun($first));
    }
});

test('a corrected list of topics goes on where it is; a cancelled session may keep its topic', function () {
    $term = Scenario::term();
    $sessions = Scenario::plan([2], '2027-02-23')->sessions($term);
    $names = fn (array $list): array => array_map(
        fn (PlannedSession $s): string => $s->own->topic ?? '–',
        array_slice($list, 0, 4),
    );
    $now = $term->zone->instant(day('2027-03-02'), 700);
    $laid = Topics::lay(['Tides', 'Pools', 'Kelp', 'Crabs'], $sessions, true, 0, true);

    expect($names(Topics::lay(['Tides', 'Pools', 'Sea grass', 'Crabs'], $laid, true, $now, true)))
        ->toBe(['Tides', 'Pools', 'Sea grass', 'Crabs'])
        ->and($names(Topics::lay(['Moon', 'Sun'], $laid, true, $now, true)))
        ->toBe(['Tides', 'Pools', 'Moon', 'Sun']);
    $keeps = $laid;
    $keeps[1] = $laid[1]->with(new SessionOverrides(topic: 'Pools', keepsTopic: true))->cancelled('ill');
    expect($names(Topics::lay(['Tides', 'Pools', 'Kelp'], $keeps, true, 0)))->toBe(['Tides', 'Pools', 'Kelp', '–']);
});

test('topics are read from a pasted list and laid over the sessions that are held', function () {
    $term = Scenario::term();
    $topics = Topics::read("1. Tides\n\n- Rock pools\n• Plankton\n4) Kelp\n");
    $sessions = Scenario::plan([2], '2027-02-09')->sessions($term);
    $now = $term->zone->instant(day('2027-02-09'), 700);
    $names = fn (array $list): array => array_map(
        fn (PlannedSession $s): string => substr((new LocalDate($s->day))->iso(), 5).' '.($s->own->topic ?? '–'),
        array_slice($list, 0, 5),
    );
    $all = Topics::lay($topics, $sessions, true, $now, true, true);

    expect($topics)
        ->toBe(['Tides', 'Rock pools', 'Plankton', 'Kelp'])
        ->and($names($all))
        ->toBe(['02-09 Tides', '02-16 –', '02-23 Rock pools', '03-02 Plankton', '03-09 Kelp'])
        ->and($names(Topics::lay($topics, $sessions, true, $now, true)))
        ->toBe(['02-09 –', '02-16 –', '02-23 Tides', '03-02 Rock pools', '03-09 Plankton']);

    // One is cancelled: the topics behind it move along, or stay.
    $cancelled = array_map(
        fn (PlannedSession $s): PlannedSession => $s->day === day('2027-02-23') ? $s->cancelled('ill') : $s,
        $all,
    );
    expect($names(Topics::lay($topics, $cancelled, true, $now)))
        ->toBe(['02-09 Tides', '02-16 –', '02-23 –', '03-02 Rock pools', '03-09 Plankton'])
        ->and($names(Topics::lay($topics, $cancelled, false, $now)))
        ->toBe(['02-09 Tides', '02-16 –', '02-23 Rock pools', '03-02 Plankton', '03-09 Kelp'])
        ->and(Topics::leftOver(30, $sessions))
        ->toBe(22)
        ->and(fn () => Topics::read(str_repeat('x', 300)))
        ->toThrow(Fault::class);
});
