<?php

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\Laying;
use Nomada\Core\Timetable\OpenDaysPattern;
use Nomada\Core\Timetable\Particulars;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\Shift;
use Nomada\Core\Timetable\Stretches;
use Nomada\Core\Timetable\Topics;
use Nomada\Core\Timetable\WeeklyPattern;
use Tests\Core\Scenario;

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
    $stretches = (new Stretches([Scenario::plan([2, 4], '2027-01-26', $end)]))->from(
        LocalDate::parse('2027-02-04'),
        Scenario::plan([5], '2027-01-11', $end, 660),
    );

    expect(laid($stretches->sessions(Scenario::term())))
        ->toBe(['01-26 10:00', '01-28 10:00', '02-02 10:00', '02-05 11:00', '02-12 11:00'])
        ->and(count($stretches->from(LocalDate::parse('2027-01-20'), Scenario::plan([1]))->plans))
        ->toBe(1);
});

test('a move of this and later ones moves all of them as far, and leaves what is before', function () {
    $end = SeriesEnd::onDate(LocalDate::parse('2027-02-26'));
    $series = new Stretches([Scenario::plan([2, 4], '2027-02-02', $end)]);
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
    $series = new Stretches([Scenario::plan([4], '2027-02-04', SeriesEnd::onDate(LocalDate::parse('2027-03-05')))]);
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
        ->toThrow(Fault::class, 'no weekdays that could be moved')
        ->and(
            fn () => (new Shift(day('2027-02-18'), day('2027-02-24'), 600, 45))->plan(Scenario::plan([2, 4]), $term),
        )
        ->toThrow(Fault::class, 'another week')
        ->and(
            fn () => (new Shift(day('2027-02-18'), day('2027-02-19'), 600, 45))->plan(Scenario::plan([4, 5]), $term),
        )
        ->toThrow(Fault::class, 'on a Sat, when school is closed')
        ->and(
            (new Shift(day('2027-02-18'), day('2027-02-18'), 660, 30))
                ->plan(Scenario::plan(new OpenDaysPattern()), $term)
                ->times(),
        )
        ->toBe('11:00–11:30');
});

test('on another clock than the screen\'s, the plan is moved on its own', function () {
    $plan = Scenario::plan([2], zone: 'Africa/Casablanca', minute: 540);
    $shift = Shift::shown(day('2027-02-23'), day('2027-02-24'), 660, 45, Scenario::term()->zone, $plan->zone);

    // Casablanca is an hour behind Madrid in the middle of February.
    expect($shift->plan($plan, Scenario::term())->sentence())->toBe('Wed 10:00–10:45');
});

test(
    'laying anew keeps what has begun and what was changed of single sessions, and lists what has no place',
    function () {
        $term = Scenario::term();
        $now = $term->zone->instant(day('2027-02-09'), 592);
        $plan = Scenario::plan([2, 4], '2027-02-02', SeriesEnd::onDate(LocalDate::parse('2027-03-05')));
        $standing = array_map(function (PlannedSession $s) use ($term): PlannedSession {
            return match ((new LocalDate($s->day))->iso()) {
                '2027-02-11' => new PlannedSession($s->day, $s->start, $s->end, SessionState::Cancelled, 'ill'),
                '2027-02-18' => new PlannedSession(
                    day('2027-02-19'),
                    $term->zone->instant(day('2027-02-19'), 720),
                    $term->zone->instant(day('2027-02-19'), 765),
                    SessionState::Planned,
                    null,
                    new Particulars($s->day),
                ),
                '2027-02-23' => $s->with(new Particulars(title: 'Visit')),
                '2027-02-25' => $s->with(new Particulars(teacher: 7)),
                default => $s,
            };
        }, $plan->sessions($term));
        $extra = new PlannedSession(
            day('2027-02-26'),
            $term->zone->instant(day('2027-02-26'), 900),
            $term->zone->instant(day('2027-02-26'), 945),
            SessionState::Planned,
            null,
            new Particulars(isExtra: true, makesUp: day('2027-02-16')),
        );
        $laying = Laying::over(
            Scenario::plan([4], '2027-02-02', null, 660)->sessions($term),
            [...$standing, $extra],
            $term,
            $now,
        );

        // Tuesdays fall away but for those that have begun; Thursdays move; the extra one stays.
        expect(array_slice(laid($laying->sessions), 0, 6))
            ->toBe(['02-02 10:00', '02-04 10:00', '02-19 12:00', '02-25 11:00', '02-26 15:00', '03-04 11:00'])
            ->and(array_map(Laying::told(...), $laying->fallen))
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
    for ($round = 0; $round < 200; $round++) {
        $plan = new SeriesPlan(
            new WeeklyPattern(array_map(fn (): int => mt_rand(1, 5), range(1, mt_rand(1, 4))), mt_rand(1, 2)),
            $term->first->plus(mt_rand(0, 30)),
            SeriesEnd::withTerm(),
            mt_rand(480, 960),
            mt_rand(20, 90),
            $term->zone,
        );
        $now = $term->zone->instant($term->first->day + mt_rand(0, 80), 600);
        $standing = Laying::over($plan->sessions($term), [], $term, $now)->sessions;
        $taken = [];
        foreach ($standing as $i => $s) {
            $to = $term->openDays()[mt_rand(0, 60)];
            $standing[$i] = match ($s->state === SessionState::Planned && $s->start > $now ? mt_rand(0, 6) : 6) {
                0 => new PlannedSession($s->day, $s->start, $s->end, SessionState::Cancelled, 'x'),
                1 => $term->zone->instant($to, 300) > $now
                    ? new PlannedSession(
                        $to,
                        $term->zone->instant($to, 300),
                        $term->zone->instant($to, 345),
                        SessionState::Planned,
                        null,
                        new Particulars($s->day),
                    )
                    : $s,
                2 => $s->with(new Particulars(note: 'Bring a net')),
                default => $s,
            };
        }
        usort(
            $standing,
            fn (PlannedSession $a, PlannedSession $b): int => [$a->start, $a->day] <=> [$b->start, $b->day],
        );
        $again = Laying::over($plan->sessions($term), $standing, $term, $now);

        expect($again->sessions)
            ->toEqual($standing)
            ->and($again->fallen)
            ->toBe([])
            ->and(array_sum(array_diff_key($again->effect, ['stay' => 0, 'begun' => 0])))
            ->toBe(0);
    }
});

test('a closed day takes an exception away, and its topic waits', function () {
    $term = Scenario::term();
    $slot = day('2027-02-16');
    $was = new PlannedSession(
        $slot,
        $term->zone->instant($slot, 660),
        $term->zone->instant($slot, 700),
        SessionState::Planned,
        null,
        new Particulars($slot, topic: 'Tides'),
    );
    $laying = Laying::over(
        Scenario::plan([2], '2027-02-16', SeriesEnd::onDate(LocalDate::parse('2027-02-16')))->sessions($term),
        [$was],
        $term,
        0,
    );

    expect($laying->sessions[0]->state)
        ->toBe(SessionState::Lost)
        ->and($laying->sessions[0]->own?->topic)
        ->toBe('Tides')
        ->and(array_map(Laying::told(...), $laying->fallen))
        ->toBe(['Tue 16 Feb, moved to Tue 16 Feb'])
        ->and($laying->effect['lost'])
        ->toBe(1);
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
        fn (PlannedSession $s): PlannedSession => $s->day === day('2027-02-23')
            ? new PlannedSession($s->day, $s->start, $s->end, SessionState::Cancelled, 'ill', $s->own)
            : $s,
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
