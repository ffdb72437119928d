<?php

use Nomada\Core\Fault;
use Nomada\Core\Timetable\AccountTransferPreview;
use Nomada\Core\Timetable\Assignment;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\Clashes;
use Nomada\Core\Timetable\FoldedDates;
use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\HostedSeries;
use Nomada\Core\Timetable\Licences;
use Nomada\Core\Timetable\Meeting;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;
use Tests\Support\English;

/** @param  list<int>  $weekdays */
function running(
    int $series,
    array $weekdays,
    int $minute,
    int $minutes = 45,
    int $people = 20,
    ?int $account = null,
    string $from = '2027-01-11',
): HostedSeries {
    $sessions = array_filter(
        Scenario::plan($weekdays, $from, null, $minute, $minutes)->sessions(Scenario::term()),
        fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
    );

    return new HostedSeries(
        $series,
        array_values(array_map(fn (PlannedSession $s): array => [$s->start, $s->end], $sessions)),
        $people,
        $account,
    );
}

/** @return list<HostAccount> */
function accounts(int $n, int $seats = 30, int $minutes = 60, int $atOnce = 1): array
{
    return array_map(
        fn (int $i): HostAccount => new HostAccount($i, "Host $i", $seats, $minutes, $atOnce),
        range(1, $n),
    );
}

/** Whether an assignment gives no account more than it bears, checked moment by moment. */
function isSound(Assignment $a, array $running, array $accounts): bool
{
    $starts = [];
    foreach ($running as $r) {
        foreach ($r->sessions as [$start, $end]) {
            $id = $a->accounts[$r->series] ?? ($a->split[$r->series][$start] ?? null);
            if ($id !== null) {
                $starts[$id][] = [$start, $end];
            }
        }
    }
    foreach ($starts as $id => $spans) {
        foreach ($spans as [$at]) {
            if (
                count(array_filter($spans, fn (array $s): bool => $s[0] <= $at && $s[1] > $at)) >
                $accounts[$id - 1]->atOnce
            ) {
                return false;
            }
        }
    }

    return true;
}

/** Whether each session is on one account, or named as left over, once. */
function isComplete(Assignment $a, array $running): bool
{
    foreach ($running as $r) {
        foreach (array_column($r->sessions, 0) as $start) {
            $on =
                (isset($a->accounts[$r->series]) ? 1 : 0) +
                (isset($a->split[$r->series][$start]) ? 1 : 0) +
                count(array_keys($a->left[$r->series] ?? [], $start, true));
            if ($on !== 1) {
                return false;
            }
        }
    }

    return true;
}

test('the peak is counted where sessions run at one time; touching ends do not', function () {
    $licences = new Licences([running(1, [1], 600), running(2, [1], 645), running(3, [1, 2], 620, 30)]);
    $peak = $licences->peak();
    $zone = Scenario::term()->zone;

    expect($peak['n'])
        ->toBe(2)
        ->and($zone->clock($peak['from']))
        ->toBe('10:20')
        ->and($zone->clock($peak['to']))
        ->toBe('10:45')
        ->and($licences->fewest())
        ->toBe(2)
        ->and($licences->fewest(2))
        ->toBe(1)
        ->and((new Licences([]))->peak()['n'])
        ->toBe(0);
});

test('the curve says for every weekday how many run, the most of any week', function () {
    $curve = (new Licences([running(1, [1, 3], 600), running(2, [1], 630, from: '2027-03-01')]))->curve(
        Scenario::term()->zone,
    );

    expect(array_keys($curve))
        ->toBe([1, 3])
        ->and($curve[1][600])
        ->toBe(1)
        ->and($curve[1][630])
        ->toBe(2)
        ->and($curve[1][645])
        ->toBe(1)
        ->and($curve[1][675] ?? 0)
        ->toBe(0)
        ->and(max($curve[3]))
        ->toBe(1);
});

test('what stands stays, and a series keeps one account for the term', function () {
    $running = [
        running(1, [1, 2], 600, account: 2),
        running(2, [2, 3], 610),
        running(3, [3], 620, account: 2),
        running(4, [4], 600),
    ];
    $assignment = (new Licences($running))->assign(accounts(2));

    expect($assignment->accounts[1])
        ->toBe(2)
        ->and($assignment->accounts[3])
        ->toBe(2)
        ->and($assignment->accounts[2])
        ->toBe(1)
        ->and($assignment->changed)
        ->toBe(0)
        ->and($assignment->split)
        ->toBe([])
        ->and(isSound($assignment, $running, accounts(2)))
        ->toBeTrue();
});

test('one that stands in the way is moved where that makes room', function () {
    // The hall alone is large enough for the second; the first may go elsewhere.
    $accounts = [new HostAccount(1, 'Room', 30, 60), new HostAccount(2, 'Hall', 100, 120)];
    $assignment = (new Licences([running(1, [1], 600, account: 2), running(2, [1], 600, people: 80)]))->assign(
        $accounts,
    );

    expect($assignment->accounts)
        ->toBe([1 => 1, 2 => 2])
        ->and($assignment->changed)
        ->toBe(1);
});

test('three that overlap in pairs only need two accounts, one of them split', function () {
    $assignment = (new Licences([
        running(1, [1, 2], 600),
        running(2, [2, 3], 600),
        running(3, [1, 3], 600),
    ]))->assign(accounts(2));

    expect(count($assignment->accounts))
        ->toBe(2)
        ->and(count($assignment->split))
        ->toBe(1)
        ->and($assignment->leftOver())
        ->toBe(0);
});

test('as many accounts of one plan as run at one time leave no session over, whatever stands where', function () {
    mt_srand(31);
    for ($round = 0; $round < Scenario::rounds(120); $round++) {
        $running = array_map(
            fn (int $i): HostedSeries => running(
                $i,
                array_map(fn (): int => mt_rand(1, 5), range(1, mt_rand(1, 3))),
                480 + 15 * mt_rand(0, 16),
                15 * mt_rand(2, 8),
                account: mt_rand(0, 1) === 0 ? mt_rand(1, 4) : null,
            ),
            range(1, mt_rand(3, 12)),
        );
        $licences = new Licences($running);
        $atOnce = mt_rand(1, 2);
        $enough = accounts($licences->fewest($atOnce), minutes: 120, atOnce: $atOnce);
        $assignment = $licences->assign($enough);
        expect($assignment->leftOver())
            ->toBe(0)
            ->and(isSound($assignment, $running, $enough))
            ->toBeTrue()
            ->and(isComplete($assignment, $running))
            ->toBeTrue();
        // One fewer leaves some over, and names exactly those.
        if (count($enough) > 1) {
            $few = accounts(count($enough) - 1, minutes: 120, atOnce: $atOnce);
            $short = $licences->assign($few);
            expect($short->leftOver())
                ->toBeGreaterThan(0)
                ->and(isSound($short, $running, $few))
                ->toBeTrue()
                ->and(isComplete($short, $running))
                ->toBeTrue();
        }
    }
});

test('a stretch is coloured anew with its own plan: who needs the large account gets it', function () {
    // 1 and 2 are on the large one in turn; 3 needs it, while the small one is free.
    $accounts = [new HostAccount(1, 'Large', 100, 60), new HostAccount(2, 'Small', 30, 60)];
    $assignment = (new Licences([
        running(1, [1], 600, account: 1),
        running(2, [2], 600, account: 1),
        running(3, [1, 2, 3], 600, people: 60),
    ]))->assign($accounts);
    expect($assignment->leftOver())
        ->toBe(0)
        ->and(array_unique($assignment->split[3]))
        ->toHaveCount(1)
        ->toContain(1);
});

test('too long, too full, or one too many: the sessions that find no account are named', function () {
    expect((new Licences([running(1, [1], 600, 90)]))->assign(accounts(3))->leftOver())
        ->toBe(12)
        ->and((new Licences([running(1, [1], 600, people: 31)]))->assign(accounts(3))->leftOver())
        ->toBe(12)
        ->and((new Licences([running(1, [1], 600), running(2, [1], 600)]))->assign(accounts(1))->leftOver())
        ->toBe(12)
        ->and(
            (new Licences([running(1, [1], 600), running(2, [1], 600)]))
                ->assign(accounts(1, atOnce: 2))
                ->leftOver(),
        )
        ->toBe(0)
        ->and(fn () => new HostAccount(1, 'x', 0, 60))
        ->toThrow(Fault::class);
});

test(
    'over random terms an assignment is sound, the peak is what counting finds, and as many accounts as the peak '.
        'leave no session over',
    function () {
        mt_srand(77);
        for ($round = 0; $round < Scenario::rounds(60); $round++) {
            $running = array_map(
                fn (int $i): HostedSeries => running(
                    $i,
                    array_map(fn (): int => mt_rand(1, 5), range(1, mt_rand(1, 3))),
                    480 + 15 * mt_rand(0, 20),
                    15 * mt_rand(2, 5),
                    account: mt_rand(0, 2) === 0 ? mt_rand(1, 4) : null,
                ),
                range(1, mt_rand(2, 14)),
            );
            $licences = new Licences($running);
            $most = 0;
            foreach ($running as $r) {
                foreach ($r->sessions as [$at]) {
                    $most = max(
                        $most,
                        array_sum(
                            array_map(
                                fn (HostedSeries $o): int => count(
                                    array_filter($o->sessions, fn (array $s): bool => $s[0] <= $at && $s[1] > $at),
                                ),
                                $running,
                            ),
                        ),
                    );
                }
            }
            expect($licences->peak()['n'])->toBe($most);
            $accounts = accounts(mt_rand(1, 5), minutes: 120, atOnce: mt_rand(1, 2));
            $assignment = $licences->assign($accounts);
            expect(isSound($assignment, $running, $accounts))->toBeTrue();
            // With an account for each that runs at once and nothing standing, interval colouring leaves none over.
            $free = array_map(
                fn (HostedSeries $r): HostedSeries => new HostedSeries($r->series, $r->sessions, $r->people),
                $running,
            );
            $enough = (new Licences($free))->assign(accounts(count($running), minutes: 120));
            expect($enough->leftOver())->toBe(0)->and($enough->split)->toBe([]);
        }
    },
);

test(
    'an account that bears one at a time, a room that is one room, and plans that are too small clash',
    function () {
        $meet = function (
            int $series,
            array $weekdays,
            int $minute,
            int $minutes = 45,
            ?int $account = null,
            ?string $room = null,
        ): Meeting {
            $sessions = array_filter(
                Scenario::plan($weekdays, '2027-03-01', null, $minute, $minutes)->sessions(Scenario::term()),
                fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
            );

            return new Meeting(
                $series,
                $series * 10,
                array_values(array_map(fn (PlannedSession $s): array => [$s->day, $s->start, $s->end], $sessions)),
                $minute,
                $minute + $minutes,
                null,
                $account,
                $room,
            );
        };
        $people = array_map(fn (int $i): Attendee => new Attendee($i, false), range(1, 31));
        $found = (new Clashes(
            [
                $meet(1, [1], 600, account: 1),
                $meet(2, [1], 630, account: 1),
                $meet(3, [1], 615, account: 2),
                $meet(4, [2], 600, 75, account: 2),
                $meet(5, [3], 600, room: 'r'),
                $meet(6, [3], 620, room: 'r'),
                $meet(7, [4], 1250, 45),
            ],
            [10 => $people],
            [1 => new HostAccount(1, 'Host', 30, 60), 2 => new HostAccount(2, 'Double', 30, 60, 2)],
            Scenario::term(),
        ))->find();

        expect(
            array_map(
                fn (Clash $c): string => "$c->kind ".
                    implode('-', $c->series).
                    ' '.
                    $c->gravity().
                    ' '.
                    English::said(FoldedDates::said(array_slice($c->days, 0, 1))),
                $found,
            ),
        )->toBe([
            'account 1-2 hard Mon 1 Mar',
            'room 5-6 hard Wed 3 Mar',
            'long 4 soft Tue 2 Mar',
            'full 1 soft Mon 1 Mar',
            'outside 7 advice Thu 4 Mar',
        ]);
    },
);

test('a series that sections share does not clash with itself, and clashes once with another', function () {
    $term = Scenario::term();
    $meeting = fn (int $series, int $section, int $minute, int $roster): Meeting => new Meeting(
        $series,
        $section,
        array_values(
            array_map(
                fn (PlannedSession $s): array => [$s->day, $s->start, $s->end],
                array_filter(
                    Scenario::plan([1], '2027-04-12', null, $minute)->sessions($term),
                    fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
                ),
            ),
        ),
        $minute,
        $minute + 45,
        $roster,
    );
    $both = [new Attendee(1, false), new Attendee(2, false), new Attendee(9, true)];
    $found = (new Clashes(
        [$meeting(1, 10, 600, -1), $meeting(1, 10, 600, -2), $meeting(3, 30, 620, 30)],
        [
            -1 => $both,
            -2 => [new Attendee(1, false), new Attendee(8, true)],
            30 => [new Attendee(1, false), new Attendee(2, false)],
        ],
    ))->find();

    expect(
        array_map(
            fn (Clash $c): string => "$c->kind ".implode('-', $c->series).' '.implode(',', $c->people),
            $found,
        ),
    )->toBe(['students 1-3 1,2']);
});

test('handing series to one account says which of their sessions clash there, and with whom', function () {
    $running = [
        running(1, [1], 600, account: 1),
        running(2, [1, 2], 630),
        running(3, [2], 640, people: 60),
        running(4, [1], 645, account: 2),
        running(5, [1], 675, account: 1),
    ];
    $one = new HostAccount(1, 'Host', 30, 60);
    $n = count($running[0]->sessions);
    expect(AccountTransferPreview::to($one, $running, [2, 3, 4]))->toBe([
        2 => ['sessions' => count($running[1]->sessions), 'with' => [1, 4, 3], 'fits' => true],
        3 => ['sessions' => count($running[2]->sessions), 'with' => [2], 'fits' => false],
        4 => ['sessions' => $n, 'with' => [2, 5], 'fits' => true],
    ]);
    // Two at once are no clash on an account that bears two; three are.
    $two = new HostAccount(1, 'Host', 100, 60, 2);
    expect(array_column(AccountTransferPreview::to($two, $running, [2, 3, 4]), 'sessions'))->toBe([0, 0, 0]);
    expect(
        array_column(
            AccountTransferPreview::to($two, [...$running, running(6, [1], 650, account: 1)], [2, 4]),
            'sessions',
        ),
    )->toBe([$n, $n]);
    expect(AccountTransferPreview::to($one, $running, [5])[5]['sessions'])->toBe(0);
});

test('what one account is given overlaps in whatever night, and each series is named once', function (
    array $given,
    array $others,
    int $sessions,
    array $with,
) {
    $night = 20_000 * 86400;
    $at = fn (array $spans): array => array_map(
        fn (array $s): array => [$night + 60 * $s[0], $night + 60 * $s[1]],
        $spans,
    );
    $running = [new HostedSeries(1, $at($given), 20)];
    foreach ($others as $i => $spans) {
        $running[] = new HostedSeries($i + 2, $at($spans), 20, 1);
    }

    expect(AccountTransferPreview::to(new HostAccount(1, 'Host', 30, 600), $running, [1]))->toBe([
        1 => ['sessions' => $sessions, 'with' => $with, 'fits' => true],
    ]);
})->with([
    'over midnight, one before it' => [[[-30, 30]], [[[-60, -20]]], 1, [2]],
    'and one after it' => [[[-30, 30]], [[[20, 60]]], 1, [2]],
    'until midnight, the other from then on' => [[[-30, 0]], [[[0, 30]]], 0, []],
    'from midnight on, the other until then' => [[[0, 30]], [[[-30, 0]]], 0, []],
    'both over midnight' => [[[-30, 30]], [[[-40, 40]]], 1, [2]],
    'two others that begin at once' => [[[0, 60]], [[[0, 30]], [[0, 60]]], 1, [2, 3]],
    'two others at one time' => [[[0, 60]], [[[0, 60]], [[0, 60]]], 1, [2, 3]],
    'two others that end at once' => [[[0, 60]], [[[10, 60]], [[20, 60]]], 1, [2, 3]],
    'one and the same twice, another between' => [
        [[0, 60], [1440, 1500]],
        [[[0, 30], [1440, 1470]], [[5, 9]]],
        2,
        [2, 3],
    ],
    'named again behind another' => [
        [[0, 60], [1440, 1500]],
        [[[0, 30]], [[5, 9], [1441, 1450]], [[1440, 1450]]],
        2,
        [2, 3, 4],
    ],
    'its own sessions are in nobody\'s way' => [[[0, 60], [30, 90]], [], 0, []],
]);
