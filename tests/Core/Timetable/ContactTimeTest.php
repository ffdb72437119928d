<?php

use Nomada\Core\Interchange\Calendar\ClosureReader;
use Nomada\Core\Interchange\Calendar\ClosureWriter;
use Nomada\Core\Interchange\CsvText;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\ShortDay;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\BusyDay;
use Nomada\Core\Timetable\ContactTime;
use Nomada\Core\Timetable\CopiedPlan;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\FreeTimes;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\WeeklyPattern;
use Tests\Core\Scenario;
use Tests\Support\English;

test('contact time is planned, held, to come, lost and made up, against the target', function () {
    $term = Scenario::term();
    $now = $term->zone->instant(LocalDate::parse('2027-02-09')->day, 592);
    // Thirteen Thursdays are held of fifteen: two fall on Easter; one is made up.
    $sessions = Scenario::plan([4], '2027-01-14', SeriesEnd::onDate(LocalDate::parse('2027-04-22')))->sessions(
        $term,
    );
    $day = LocalDate::parse('2027-04-07')->day;
    $sessions[] = new PlannedSession(
        $day,
        $term->zone->instant($day, 600),
        $term->zone->instant($day, 630),
        SessionState::Planned,
        null,
        new SessionOverrides(isExtra: true, makesUp: LocalDate::parse('2027-03-25')->day),
    );
    $time = ContactTime::of($sessions, $now, 600);

    expect([$time->planned, $time->held, $time->coming, $time->lost, $time->madeUp])
        ->toBe([15 * 45, 4 * 45, 9 * 45 + 30, 90, 30])
        ->and($time->reaches())
        ->toBe(615)
        ->and($time->short())
        ->toBe(-15)
        ->and($time->bar(675.0))
        ->toBe(['held' => 180.0, 'coming' => 615.0, 'lost' => 675.0, 'target' => 600.0])
        ->and(ContactTime::of([], $now)->short())
        ->toBeNull();
});

test('a day is parted into free, some students elsewhere, and a teacher elsewhere', function () {
    expect(BusyDay::spans([[600, 645], [640, 660]], [[630, 700, 3], [690, 720, 2]]))
        ->toBe([
            [0, 600, 'free', 0],
            [600, 630, 'teacher', 0],
            [630, 660, 'teacher', 3],
            [660, 690, 'students', 3],
            [690, 700, 'students', 5],
            [700, 720, 'students', 2],
            [720, 1440, 'free', 0],
        ])
        ->and(BusyDay::spans([], []))
        ->toBe([[0, 1440, 'free', 0]])
        ->and(BusyDay::spans([[-60, 1500]], []))
        ->toBe([[0, 1440, 'teacher', 0]]);
});

test('spans of random days say for every minute what the list of busy times says', function () {
    mt_srand(99);
    for ($round = 0; $round < Scenario::rounds(60); $round++) {
        $spans = fn (bool $n): array => array_map(function () use ($n): array {
            $from = mt_rand(0, 1400);

            return [$from, $from + mt_rand(1, 120), ...$n ? [mt_rand(1, 9)] : []];
        }, range(1, mt_rand(1, 5)));
        [$teachers, $students] = [$spans(false), $spans(true)];
        $found = BusyDay::spans($teachers, $students);
        foreach ([0, 7, 599, 600, 900, 1439, mt_rand(0, 1439), mt_rand(0, 1439)] as $minute) {
            $span = array_values(array_filter($found, fn (array $s): bool => $s[0] <= $minute && $s[1] > $minute));
            $isTaught = array_filter($teachers, fn (array $t): bool => $t[0] <= $minute && $t[1] > $minute) !== [];
            $many = array_sum(
                array_map(fn (array $s): int => $s[0] <= $minute && $s[1] > $minute ? $s[2] : 0, $students),
            );
            expect($span)
                ->toHaveCount(1)
                ->and($span[0][2])
                ->toBe($isTaught ? 'teacher' : ($many > 0 ? 'students' : 'free'))
                ->and($span[0][3])
                ->toBe($many);
        }
    }
});

test('free times of a series in a period are the periods, each at its time of the day', function () {
    $own = Scenario::term();
    $short = DayPlan::read('Short', "1 9:00-9:30\n2 9:40-10:10");
    $term = new Term(
        $own->title,
        $own->first,
        $own->last,
        $own->zone,
        $own->closures,
        [],
        DayPlan::read('Usual', "1 9:00-9:45\n2 10:00-10:45\n3 11:00-11:45"),
        [new ShortDay(LocalDate::parse('2027-03-04'), $short, 'Market')],
    );
    $days = [LocalDate::parse('2027-02-25')->day, LocalDate::parse('2027-03-04')->day];
    $busy = [$days[1] => [[$term->zone->instant($days[1], 590), $term->zone->instant($days[1], 600)]]];
    $found = (new FreeTimes($term, $busy, []))->forSeries($days, 660, 45, 12, false, true);

    $said = fn (FreeTime $f): string => English::said($f->when()).' '.English::said($f->cost());
    expect(array_map($said, $found))->toBe([
        'Thu period 1, 09:00–09:45 2 of 2 clear',
        'Thu period 2, 10:00–10:45 1 of 2 clear',
    ]);
});

test('given times cost what they clash with', function () {
    $term = Scenario::term();
    $days = [
        LocalDate::parse('2027-02-25')->day,
        LocalDate::parse('2027-03-04')->day,
        LocalDate::parse('2027-03-25')->day,
    ];
    $at = fn (int $d, int $m): int => $term->zone->instant($d, $m);
    $times = new FreeTimes(
        $term,
        [$days[0] => [[$at($days[0], 600), $at($days[0], 660)]]],
        [$days[1] => [[$at($days[1], 620), $at($days[1], 640), 4]]],
    );
    $cost = $times->at(array_map(fn (int $d): array => [$d, 610, 45], $days));

    expect(English::said($cost?->cost()))
        ->toBe('the teacher is free for 1 of 3; 1 on closed days; on Thu 4 Mar 4 students are elsewhere')
        ->and(English::said($times->at([[$days[0], 700, 30]])?->cost()))
        ->toBe('everybody is free')
        ->and(English::said($times->at([[$days[0], 610, 30]])?->cost()))
        ->toBe('the teacher is elsewhere')
        ->and($times->at([]))
        ->toBeNull();
});

test('a plan is carried into another term by its teaching weeks', function () {
    $from = Scenario::term();
    $to = new Term(
        'Summer',
        LocalDate::parse('2027-05-04'),
        LocalDate::parse('2027-07-09'),
        Zone::named('Europe/Madrid'),
    );
    $of = fn ($pattern, string $first, ?SeriesEnd $end = null) => CopiedPlan::into(
        Scenario::plan($pattern, $first, $end),
        $from,
        $to,
    );

    expect($of([2, 4], '2027-01-12')?->from->iso())
        ->toBe('2027-05-04')
        ->and($of([2, 4], '2027-01-12', SeriesEnd::onDate(LocalDate::parse('2027-04-22')))?->end->kind)
        ->toBe('term')
        ->and($of([1], '2027-01-25', SeriesEnd::onDate(LocalDate::parse('2027-02-08')))?->end->date?->iso())
        ->toBe('2027-05-31')
        ->and($of([1], '2027-01-25')?->from->iso())
        ->toBe('2027-05-17')
        ->and(
            $of(
                new DatesPattern([LocalDate::parse('2027-01-13')->day, LocalDate::parse('2027-04-20')->day]),
                '2027-01-13',
            )?->pattern->toArray()['dates'],
        )
        ->toBe(['2027-05-05'])
        ->and($of(new DatesPattern([LocalDate::parse('2027-04-20')->day]), '2027-04-20'))
        ->toBeNull()
        ->and(English::said($of(new WeeklyPattern([3], 2), '2027-01-13')?->said()))
        ->toBe('Every second week, Wed 10:00–10:45');
});

test('closed days are written as they are read', function () {
    $closures = [
        'a@x' => new Closure(
            LocalDate::parse('2027-02-15'),
            LocalDate::parse('2027-02-17'),
            'Carnival; boats, and more',
        ),
        'b@x' => new Closure(LocalDate::parse('2027-01-29'), LocalDate::parse('2027-01-29'), 'Staff day'),
    ];
    [$rows, $faults] = ClosureReader::read(
        ClosureWriter::write($closures, 'Closed days', 1_800_000_000),
        'c.ics',
        Zone::named('Europe/Madrid'),
    );

    expect($faults)
        ->toBe([])
        ->and($rows)
        ->toBe([
            [
                'uid' => 'a@x',
                'first' => '2027-02-15',
                'last' => '2027-02-17',
                'reason' => 'Carnival; boats, and more',
                'hours' => null,
            ],
            [
                'uid' => 'b@x',
                'first' => '2027-01-29',
                'last' => '2027-01-29',
                'reason' => 'Staff day',
                'hours' => null,
            ],
        ]);
});

test('a cell that a spreadsheet would take for a formula is only text', function () {
    expect(CsvText::write([['name', 'n'], ['=1+1', -4], ['+34 555', 2.5], ["a \"b\",\nc", null], ['@x', 0]]))->toBe(
        "name,n\r\n'=1+1,-4\r\n'+34 555,2.5\r\n\"a \"\"b\"\",\nc\",\r\n'@x,0\r\n",
    );
});
