<?php

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\Clashes;
use Nomada\Core\Timetable\FoldedDates;
use Nomada\Core\Timetable\Meeting;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;
use Tests\Support\English;

function meeting(int $series, int $section, SeriesPlan $plan): Meeting
{
    $sessions = array_values(
        array_filter(
            $plan->sessions(Scenario::term()),
            fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
        ),
    );

    return new Meeting(
        $series,
        $section,
        array_map(fn (PlannedSession $s): array => [$s->day, $s->start, $s->end], $sessions),
        $plan->startMinute,
        $plan->startMinute + $plan->minutes,
    );
}

/** @return list<string> */
function said(array $clashes): array
{
    return array_map(
        fn (Clash $c): string => "$c->kind ".
            implode('-', $c->series).
            ' '.
            count($c->people).
            ' '.
            English::said(FoldedDates::said($c->days)),
        $clashes,
    );
}

test('the scenario: Marine Science and History share students on Thursdays from 18 February', function () {
    $marine = meeting(1, 10, Scenario::plan([2, 4], '2027-01-12', minutes: 47));
    $history = meeting(2, 20, Scenario::plan([4], '2027-02-18', minute: 630));
    $students = fn (array $ids): array => array_map(fn (int $i): Attendee => new Attendee($i, false), $ids);
    $found = (new Clashes(
        [$marine, $history],
        [10 => $students(range(1, 22)), 20 => $students(range(4, 27))],
    ))->find();

    expect(said($found))
        ->toBe(['students 1-2 19 Thursdays, 18 Feb to 22 Apr'])
        ->and($found[0]->gravity())
        ->toBe('soft');
});

test('touching ends do not clash, but a teacher is given no time between', function () {
    $first = meeting(1, 10, Scenario::plan([1], '2027-03-01', minute: 600, minutes: 45));
    $touching = meeting(2, 20, Scenario::plan([1], '2027-03-01', minute: 645, minutes: 45));
    $later = meeting(3, 30, Scenario::plan([1], '2027-03-01', minute: 650, minutes: 30));
    $both = [new Attendee(1, true), new Attendee(2, false)];

    expect(said((new Clashes([$first, $touching], [10 => $both, 20 => $both]))->find()))
        ->toBe(['turnaround 1-2 1 Mondays, 1 Mar to 19 Apr'])
        ->and((new Clashes([$first, $later], [10 => $both, 30 => $both]))->find())
        ->toBe([]);
});

test('who leaves on the 20th clashes with nothing on the 21st', function () {
    $a = meeting(1, 10, Scenario::plan([5], '2027-02-19', minutes: 60));
    $b = meeting(2, 20, Scenario::plan([5], '2027-02-19', minutes: 60));
    $until = LocalDate::parse('2027-02-26')->day;
    $found = (new Clashes(
        [$a, $b],
        [10 => [new Attendee(1, false, null, $until)], 20 => [new Attendee(1, false)]],
    ))->find();

    expect(said($found))
        ->toBe(['students 1-2 1 Fri 19 Feb and Fri 26 Feb'])
        ->and(
            (new Clashes(
                [$a, $b],
                [10 => [new Attendee(1, false, $until + 1)], 20 => [new Attendee(1, false, null, $until)]],
            ))->find(),
        )
        ->toBe([]);
});

test('a section\'s own two series can be in each other\'s way', function () {
    $found = (new Clashes(
        [meeting(1, 10, Scenario::plan([1])), meeting(2, 10, Scenario::plan([1], minute: 630))],
        [10 => [new Attendee(1, true), new Attendee(2, false)]],
    ))->find();

    expect(array_column(array_map(fn (Clash $c): array => [$c->kind], $found), 0))->toBe(['teacher', 'students']);
});

test('hours that are none on a student\'s own clock are advice', function () {
    $early = meeting(1, 10, Scenario::plan([1], '2027-03-01', minute: 510));
    $found = (new Clashes(
        [$early],
        [
            10 => [
                new Attendee(1, false, zone: 'Atlantic/Azores'),
                new Attendee(2, false, zone: 'Europe/Madrid'),
                new Attendee(3, false, zone: 'Atlantic/Canary'),
            ],
        ],
    ))->find();

    // 08:30 in Madrid is 06:30 on the Azores and 07:30 on the Canaries.
    expect(said($found))->toBe(['hours 1 1 Mondays, 1 Mar to 19 Apr']);
});

test('dates are folded', function (array $days, string $words) {
    expect(
        English::said(FoldedDates::said(array_map(fn (string $d): int => LocalDate::parse($d)->day, $days))),
    )->toBe($words);
})->with([
    [[], '–'],
    [['2027-02-18'], 'Thu 18 Feb'],
    [['2027-02-18', '2027-02-25'], 'Thu 18 Feb and Thu 25 Feb'],
    [['2027-02-18', '2027-02-25', '2027-03-04'], 'Thursdays, 18 Feb to 4 Mar'],
    [['2027-02-16', '2027-02-18', '2027-02-23'], 'Tuesdays, Thursdays, 16 Feb to 23 Feb'],
]);

/** @return array{list<Meeting>, array<int, list<Attendee>>} */
function randomSchool(): array
{
    $meetings = $rosters = [];
    for ($s = 1; $s <= 14; $s++) {
        for ($i = 0; $i < mt_rand(1, 2); $i++) {
            $meetings[] = meeting(
                count($meetings) + 1,
                $s,
                Scenario::plan(
                    [mt_rand(1, 5), mt_rand(1, 5)],
                    '2027-03-01',
                    minute: mt_rand(96, 130) * 5,
                    minutes: mt_rand(5, 20) * 5,
                ),
            );
        }
        foreach (array_unique(array_map(fn () => mt_rand(1, 25), range(1, 8))) as $p) {
            $rosters[$s][] = new Attendee(
                $p,
                false,
                mt_rand(0, 5) ? null : LocalDate::parse('2027-03-08')->day,
                mt_rand(0, 5) ? null : LocalDate::parse('2027-03-15')->day,
            );
        }
        $rosters[$s][] = new Attendee(mt_rand(101, 106), true);
    }

    return [$meetings, $rosters];
}

test('over random schools, what is found is what comparing everything with everything finds', function () {
    mt_srand(2027);
    for ($round = 0; $round < Scenario::rounds(12); $round++) {
        [$meetings, $rosters] = randomSchool();
        $want = [];
        foreach ($meetings as $i => $a) {
            foreach (array_slice($meetings, $i + 1) as $b) {
                foreach ($a->sessions as [$day, $start, $end]) {
                    foreach ($b->sessions as [, $start2, $end2]) {
                        foreach ($rosters[$a->section] as $p) {
                            foreach ($rosters[$b->section] as $q) {
                                if (
                                    $p->person !== $q->person ||
                                    $p->isTeacher !== $q->isTeacher ||
                                    ! $p->isThere($day) ||
                                    ! $q->isThere($day)
                                ) {
                                    continue;
                                }
                                $gap = max($start2 - $end, $start - $end2);
                                if ($gap < 0) {
                                    $want[($p->isTeacher ? 'teacher' : 'students')." $a->series-$b->series"][
                                        $day
                                    ][$p->person] = true;
                                } elseif ($p->isTeacher && $gap < 300) {
                                    $want["turnaround $a->series-$b->series"][$day][$p->person] = true;
                                }
                            }
                        }
                    }
                }
            }
        }
        foreach ($want as $key => $days) {
            if (str_starts_with($key, 'turnaround')) {
                $want[$key] = array_diff_key($days, $want[str_replace('turnaround', 'teacher', $key)] ?? []);
            }
        }
        $want = array_filter($want);
        $got = [];
        foreach ((new Clashes($meetings, $rosters))->find() as $clash) {
            $got["$clash->kind ".implode('-', $clash->series)] = $clash;
        }
        expect(array_keys($got))->toEqualCanonicalizing(array_keys($want), "round $round");
        foreach ($want as $key => $days) {
            expect($got[$key]->days)
                ->toEqualCanonicalizing(array_keys($days))
                ->and($got[$key]->people)
                ->toEqualCanonicalizing(array_keys(array_replace(...array_values($days))));
        }
    }
});

test(
    'after a change of one section, searching only what it touches gives what searching everything gives',
    function () {
        mt_srand(11);
        [$meetings, $rosters] = randomSchool();
        $kept = (new Clashes($meetings, $rosters))->find();
        for ($edit = 0; $edit < 40; $edit++) {
            $section = mt_rand(1, 14);
            foreach ($meetings as $i => $m) {
                if ($m->section === $section) {
                    $meetings[$i] = meeting(
                        $m->series,
                        $section,
                        Scenario::plan(
                            [mt_rand(1, 5)],
                            '2027-03-01',
                            minute: mt_rand(96, 130) * 5,
                            minutes: mt_rand(5, 20) * 5,
                        ),
                    );
                }
            }
            $search = new Clashes($meetings, $rosters);
            $kept = [
                ...array_filter($kept, fn (Clash $c): bool => ! in_array($section, $c->sections, true)),
                ...$search->find([$section => true]),
            ];
            $key = fn (Clash $c): string => $c->key().
                ' '.
                implode(',', $c->days).
                ' '.
                implode(',', $c->people);
            expect(array_map($key, array_values($kept)))->toEqualCanonicalizing(array_map($key, $search->find()));
        }
    },
);
