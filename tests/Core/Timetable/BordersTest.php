<?php

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\Clashes;
use Nomada\Core\Timetable\ContactTime;
use Nomada\Core\Timetable\CopiedPlan;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\FoldedDates;
use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\Meeting;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\RecurrenceRule;
use Nomada\Core\Timetable\RulePattern;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;
use Tests\Support\English;

// The borders of the rules of the timetable: a minute more or less, one more or fewer, the first and the last.

/** Sessions of one series on days of March, in seconds of the wall clock in Madrid: `[2 => ['10:00', '10:45:30']]`. */
function onDays(int $series, array $days, array $with = []): Meeting
{
    $seconds = fn (string $at): int => array_sum(
        array_map(
            fn (int $n, string $part): int => (int) $part * [3600, 60, 1][$n],
            array_keys(explode(':', $at)),
            explode(':', $at),
        ),
    );
    $sessions = [];
    $earliest = 1440;
    $latest = 0;
    foreach ($days as $day => [$from, $to]) {
        $date = LocalDate::parse(sprintf('2027-03-%02d', $day))->day;
        $midnight = Scenario::term()->zone->instant($date, 0);
        $sessions[] = [$date, $midnight + $seconds($from), $midnight + $seconds($to)];
        $earliest = min($earliest, intdiv($seconds($from), 60));
        $latest = max($latest, (int) ceil($seconds($to) / 60));
    }

    return new Meeting($series, 10 * $series, $sessions, $earliest, $latest, ...$with);
}

/** @return list<string> each clash whole: kind, series, sections, people, days of March */
function whole(Clashes $clashes, ?array $only = null): array
{
    return array_map(
        fn (Clash $c): string => implode(' | ', [
            $c->kind,
            implode(' ', $c->series),
            implode(' ', $c->sections),
            implode(' ', $c->people),
            implode(' ', array_map(fn (int $d): int => (new LocalDate($d))->parts()[2], $c->days)),
        ]),
        $clashes->find($only),
    );
}

test('between two sessions of a teacher there are five minutes, to the second', function (
    string $from,
    string $to,
    array $found,
) {
    $teacher = [10 => [new Attendee(5, true)], 20 => [new Attendee(5, true)]];
    $two = [onDays(1, [2 => ['10:00', '10:45']]), onDays(2, [2 => [$from, $to]])];
    expect(whole(new Clashes($two, $teacher)))
        ->toBe($found)
        ->and(whole(new Clashes(array_reverse($two), $teacher)))
        ->toBe($found);
    // A student may go from one to the next.
    $student = [10 => [new Attendee(5, false)], 20 => [new Attendee(5, false)]];
    expect(whole(new Clashes($two, $student)))->toBe(
        str_replace(['teacher', 'turnaround'], ['students', 'none'], array_values(preg_grep('/^teacher/', $found))),
    );
})->with([
    ['10:44', '11:00', ['teacher | 1 2 | 10 20 | 5 | 2']],
    ['10:45', '11:00', ['turnaround | 1 2 | 10 20 | 5 | 2']],
    ['10:49:59', '11:00', ['turnaround | 1 2 | 10 20 | 5 | 2']],
    ['10:50', '11:00', []],
    ['9:00', '10:01', ['teacher | 1 2 | 10 20 | 5 | 2']],
    ['9:00', '10:00', ['turnaround | 1 2 | 10 20 | 5 | 2']],
    ['9:00', '9:55:01', ['turnaround | 1 2 | 10 20 | 5 | 2']],
    ['9:00', '9:55', []],
]);

test(
    'a clash has its people and days in order, and the smaller series first; close is only what does not clash',
    function () {
        $a = onDays(4, [
            2 => ['10:00', '10:45'],
            3 => ['10:00', '10:45'],
            9 => ['10:00', '10:45'],
            16 => ['10:00', '10:45'],
        ]);
        $b = onDays(1, [
            2 => ['10:30', '11:00'],
            3 => ['10:46', '11:00'],
            9 => ['10:30', '11:00'],
            16 => ['12:00', '13:00'],
        ]);
        $people = fn (bool $isTeacher): array => array_map(
            fn (int $p): Attendee => new Attendee(
                $p,
                $isTeacher,
                $p === 3 ? LocalDate::parse('2027-03-09')->day : null,
            ),
            [9, 3, 7],
        );
        expect(whole(new Clashes([$a, $b], [40 => $people(false), 10 => $people(false)])))
            ->toBe(['students | 1 4 | 10 40 | 3 7 9 | 2 9'])
            ->and(whole(new Clashes([$a, $b], [40 => $people(true), 10 => $people(true)])))
            ->toBe(['teacher | 1 4 | 10 40 | 3 7 9 | 2 9', 'turnaround | 1 4 | 10 40 | 7 9 | 3'])
            // Anybody who teaches one and learns in the other is in each for itself.
            ->and(whole(new Clashes([$a, $b], [40 => $people(true), 10 => $people(false)])))
            ->toBe([]);
    },
);

test('clashes are in the order of their gravity, then of their first day, then of their series', function () {
    $all = [];
    foreach ([1 => 9, 2 => 9, 3 => 2, 4 => 2, 5 => 2, 6 => 2] as $series => $day) {
        $all[] = onDays($series, [$day => ['10:00', '10:45'], 23 => [$series + 10 .':00', $series + 10 .':30']]);
    }
    $of = fn (int $p, bool $isTeacher): array => [new Attendee($p, $isTeacher)];
    $rosters = [
        10 => $of(1, false),
        20 => $of(1, false),
        30 => $of(2, false),
        40 => $of(2, false),
        50 => $of(3, true),
        60 => $of(3, true),
    ];
    expect(array_map(fn (string $c): string => substr($c, 0, 14), whole(new Clashes($all, $rosters))))->toBe([
        'teacher | 5 6 ',
        'students | 3 4',
        'students | 1 2',
    ]);
});

test('hours are uncomfortable before seven and after half past eight, on each one\'s own clock', function (
    string $start,
    bool $isFound,
) {
    $meeting = onDays(1, [2 => [$start, '23:00'], 9 => ['12:00', '13:00'], 16 => [$start, '23:00']]);
    $rosters = [
        10 => [
            new Attendee(8, false, zone: 'Europe/Madrid'),
            new Attendee(2, false, zone: 'Europe/Madrid'),
            new Attendee(5, true, zone: 'Europe/Madrid'),
            new Attendee(6, false),
        ],
    ];
    expect(whole(new Clashes([$meeting], $rosters)))
        ->toBe($isFound ? ['hours | 1 | 10 | 2 8 | 2 16'] : [])
        ->and(whole(new Clashes([$meeting], $rosters), [10 => true]))
        ->toHaveCount($isFound ? 1 : 0)
        ->and(whole(new Clashes([$meeting], $rosters), [20 => true]))
        ->toBe([]);
})->with([['6:59', true], ['7:00', false], ['20:30', false], ['20:31', true]]);

test('outside the school\'s hours is what begins before they do, or ends after, to the minute', function (
    string $from,
    string $to,
    array $days,
) {
    $usual = Scenario::term();
    $term = new Term($usual->title, $usual->first, $usual->last, $usual->zone, hours: [8 * 60, 16 * 60]);
    // The first lies inside altogether; so does one day of the second.
    $first = onDays(1, [2 => ['8:00', '16:00']]);
    $second = onDays(2, [3 => ['9:00', '10:00'], 4 => [$from, $to], 5 => ['9:00', '10:00'], 11 => [$from, $to]]);
    $clashes = new Clashes([$first, $second], [], term: $term);
    $found = $days === [] ? [] : ['outside | 2 | 20 |  | '.implode(' ', $days)];
    expect(whole($clashes))
        ->toBe($found)
        ->and(whole($clashes, [20 => true]))
        ->toBe($found)
        ->and(whole($clashes, [10 => true]))
        ->toBe([]);
})->with([['8:00', '16:00', []], ['7:59', '9:00', [4, 11]], ['15:00', '16:01', [4, 11]]]);

test('a host account bears so many minutes, seats and sessions at once, and none more', function () {
    $account = fn (int $seats, int $minutes, int $atOnce = 1): array => [
        7 => new HostAccount(7, 'Hall', $seats, $minutes, $atOnce),
    ];
    $on = ['account' => 7];
    $one = onDays(1, [2 => ['10:00', '10:45'], 3 => ['10:00', '10:45:01']], $on);
    $three = [
        10 => [
            new Attendee(9, false),
            new Attendee(4, false, LocalDate::parse('2027-03-03')->day),
            new Attendee(1, true),
        ],
    ];
    expect(whole(new Clashes([$one], $three, $account(3, 45))))
        ->toBe(['long | 1 | 10 |  | 3'])
        ->and(whole(new Clashes([$one], $three, $account(2, 46))))
        ->toBe(['full | 1 | 10 | 1 4 9 | 3'])
        ->and(whole(new Clashes([$one], $three, $account(2, 45)), [20 => true]))
        ->toBe([]);
    $two = onDays(2, [2 => ['10:30', '11:00'], 3 => ['10:45:01', '11:00']], $on);
    $last = onDays(3, [2 => ['10:40', '10:50']], $on);
    expect(whole(new Clashes([$two, $one], [], $account(9, 99))))
        ->toBe(['account | 1 2 | 10 20 |  | 2'])
        ->and(whole(new Clashes([$two, $one], [], $account(9, 99, 2))))
        ->toBe([])
        ->and(whole(new Clashes([$last, $two, $one], [], $account(9, 99))))
        ->toBe(['account | 1 2 | 10 20 |  | 2', 'account | 1 3 | 10 30 |  | 2', 'account | 2 3 | 20 30 |  | 2'])
        // Of more than there are places, against the one that has run longest.
        ->and(whole(new Clashes([$last, $two, $one], [], $account(9, 99, 2))))
        ->toBe(['account | 1 3 | 10 30 |  | 2'])
        ->and(whole(new Clashes([$two, $one], [], $account(9, 99)), [20 => true]))
        ->toBe(['account | 1 2 | 10 20 |  | 2'])
        ->and(whole(new Clashes([$two, $one], [], $account(9, 99)), [30 => true]))
        ->toBe([]);
    $room = ['room' => 'r1'];
    $rooms = [onDays(1, [2 => ['10:00', '10:45']], $room), onDays(2, [2 => ['10:44', '11:00']], $room)];
    expect(whole(new Clashes($rooms, [])))
        ->toBe(['room | 1 2 | 10 20 |  | 2'])
        ->and(whole(new Clashes([$rooms[0], onDays(2, [2 => ['10:45', '11:00']], $room)], [])))
        ->toBe([]);
});

test('a clash is known by its kind and its series', function () {
    expect((new Clash('teacher', [3, 7], [1, 2], [], []))->key())->toBe('teacher 3 7');
    $gravity = array_map(
        fn (string $kind): string => "$kind ".(new Clash($kind, [1], [1], [], []))->gravity(),
        array_keys(Clash::GRAVITY),
    );
    expect(array_slice($gravity, 0, 5))->toBe([
        'teacher hard',
        'account hard',
        'room hard',
        'students soft',
        'long soft',
    ]);
});

test('dates are read from a list, however they are parted', function (string $typed, array $days) {
    $read = DatesPattern::read($typed, LocalDate::parse('2027-01-11'), LocalDate::parse('2027-04-23'));
    expect(array_map(fn (int $d): string => (new LocalDate($d))->iso(), $read->days))->toBe($days);
})->with([
    ['14 Jan, 2 Feb', ['2027-01-14', '2027-02-02']],
    ["2 Feb;\n14 Jan\r\n14 Jan", ['2027-01-14', '2027-02-02']],
    [' 2027-01-14 2027-02-02 ', ['2027-01-14', '2027-02-02']],
    ['14/1/2027 2/2/2027, 3 Mar', ['2027-01-14', '2027-02-02', '2027-03-03']],
    ['14 Jan', ['2027-01-14']],
]);

test('dates: how many there may be, which of them are within, how they are said', function () {
    $day = LocalDate::parse('2027-01-11')->day;
    expect((new DatesPattern(range($day, $day + 399)))->days)->toHaveCount(400);
    expect(fn () => new DatesPattern(range($day, $day + 400)))->toThrow(Fault::class);
    $four = new DatesPattern([$day + 3, $day, $day + 2, $day + 1, $day]);
    expect([...$four->days(new LocalDate($day + 1), new LocalDate($day + 2), Scenario::term())])
        ->toBe([$day + 1, $day + 2])
        ->and(English::said($four->said()))
        ->toBe('4 dates')
        ->and(English::said($four->spoken()))
        ->toBe('On Mon 11 Jan, Tue 12 Jan, Wed 13 Jan, Thu 14 Jan')
        ->and(English::said((new DatesPattern(range($day, $day + 4)))->spoken()))
        ->toBe('On Mon 11 Jan, Tue 12 Jan, Wed 13 Jan, Thu 14 Jan and 1 more')
        ->and(English::said((new DatesPattern([$day, $day + 1]))->said()))
        ->toBe('2 dates')
        ->and(English::said((new DatesPattern([$day]))->said()))
        ->toBe('Mon 11 Jan')
        ->and($four->rule())
        ->toBeNull();
    expect(English::said(FoldedDates::said(range($day, $day + 4))))
        ->toBe('most days, 11 Jan to 15 Jan')
        ->and(English::said(FoldedDates::said(range($day, $day + 3))))
        ->toBe('Mondays, Tuesdays, Wednesdays, Thursdays, 11 Jan to 14 Jan')
        ->and(English::said(FoldedDates::said([$day + 6, $day + 12, $day + 13])))
        ->toBe('Saturdays, Sundays, 17 Jan to 24 Jan');
});

test('contact time, to the minute, and the bar that shows it', function () {
    $at = fn (
        int $start,
        int $minutes,
        SessionState $state = SessionState::Planned,
        ?int $makesUp = null,
    ): PlannedSession => new PlannedSession(
        1,
        $start,
        $start + 60 * $minutes,
        $state,
        own: $makesUp === null ? null : new SessionOverrides(makesUp: $makesUp),
    );
    $time = ContactTime::of(
        [
            $at(0, 59),
            $at(10_000, 45),
            $at(20_000, 30, SessionState::Cancelled),
            $at(30_000, 20, SessionState::Cancelled, 3),
            $at(40_000, 25, makesUp: 3),
        ],
        10_000 + 45 * 60,
        100,
    );
    expect([$time->planned, $time->held, $time->coming, $time->lost, $time->madeUp])
        ->toBe([134, 104, 25, 30, 25])
        ->and($time->reaches())
        ->toBe(129)
        ->and($time->short())
        ->toBe(-29)
        ->and($time->bar(134))
        ->toBe(['held' => 104.0, 'coming' => 129.0, 'lost' => 134.0, 'target' => 100.0])
        ->and((new ContactTime(10, 3, 0, 0, 5, 9))->bar(100))
        ->toBe(['held' => 33.3, 'coming' => 33.3, 'lost' => 33.3, 'target' => 100.0])
        ->and((new ContactTime(0, 0, 0, 0, 0))->bar(100))
        ->toBe(['held' => 0.0, 'coming' => 0.0, 'lost' => 0.0, 'target' => null])
        ->and((new ContactTime(0, 1, 0, 0, 0))->bar(100)['held'])
        ->toBe(100.0);
    expect(ContactTime::of([$at(0, 45)], 45 * 60 - 1)->held)->toBe(0);
});

test('a plan goes into another term week by week, with its end, or not at all', function () {
    $from = Scenario::term();
    $to = new Term('Summer', LocalDate::parse('2027-05-03'), LocalDate::parse('2027-07-30'), $from->zone);
    $copy = fn (string $first, ?string $end, mixed $pattern = [2]) => CopiedPlan::into(
        Scenario::plan($pattern, $first, $end === null ? null : SeriesEnd::onDate(LocalDate::parse($end))),
        $from,
        $to,
    );
    expect($copy('2027-01-12', null)?->from->iso())
        ->toBe('2027-05-03')
        ->and($copy('2027-01-19', null)?->from->iso())
        ->toBe('2027-05-11')
        ->and($copy('2027-01-12', '2027-01-26')?->end->date?->iso())
        ->toBe('2027-05-18')
        ->and($copy('2027-01-12', '2027-04-20')?->end->date)
        ->toBeNull()
        ->and($copy('2027-01-19', '2027-01-19')?->end->date?->iso())
        ->toBe('2027-05-11');
    $monthly = new RulePattern(
        RecurrenceRule::parse('FREQ=MONTHLY;BYDAY=1TU', $from->zone),
        LocalDate::parse('2027-01-19'),
    );
    $into = $copy('2027-01-19', null, $monthly);
    expect($into?->pattern->toArray())->toBe([
        'kind' => 'rule',
        'rule' => 'FREQ=MONTHLY;BYDAY=1TU',
        'anchor' => '2027-05-11',
    ]);
    $dates = new DatesPattern(
        array_map(fn (string $d): int => LocalDate::parse($d)->day, ['2027-01-05', '2027-01-14', '2027-01-21']),
    );
    $copied = $copy('2027-01-05', null, $dates);
    expect(array_map(fn (int $d): string => (new LocalDate($d))->iso(), $copied?->pattern->days))
        ->toBe(['2027-05-06', '2027-05-13'])
        ->and($copied?->from->iso())
        ->toBe('2027-05-06')
        ->and($copied?->end->date?->iso())
        ->toBe('2027-05-13');
});
