<?php

use Nomada\Core\Timetable\FewestAccounts;
use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\HostedSeries;
use Nomada\Core\Timetable\OverlapGroup;

/** Sessions in minutes, one a series: from, to, and how many come. */
function runningAt(array $sessions): array
{
    return array_map(
        fn (array $s, int $n): HostedSeries => new HostedSeries($n + 1, [[60 * $s[0], 60 * $s[1]]], $s[2] ?? 10),
        $sessions,
        array_keys($sessions),
    );
}

/** @return list<list<int>> the series of each stretch */
function stretchesOf(array $sessions): array
{
    return array_map(
        fn (OverlapGroup $s): array => array_map(fn (HostedSeries $r): int => $r->series, $s->sessions),
        OverlapGroup::all(runningAt($sessions)),
    );
}

test('what runs without a pause between is one stretch', function (array $sessions, array $stretches) {
    expect(stretchesOf($sessions))->toBe($stretches);
})->with([
    'none' => [[], []],
    'from nought on' => [[[0, 45]], [[1]]],
    'over each other' => [[[0, 45], [30, 75], [70, 90]], [[1, 2, 3]]],
    'one after the other, without a minute between' => [[[0, 45], [45, 90]], [[1], [2]]],
    'within a longer one that goes on' => [[[0, 90], [10, 20], [80, 100], [100, 110]], [[1, 2, 3], [4]]],
    'in the order of time' => [[[100, 110], [0, 45], [30, 75]], [[2, 3], [1]]],
]);

test('a series with several sessions is in as many stretches', function () {
    $series = new HostedSeries(7, [[0, 600], [6000, 6600]], 5);
    $all = OverlapGroup::all([$series]);
    expect(array_map(fn (OverlapGroup $s): array => $s->sessions[0]->sessions, $all))->toBe([
        [[0, 600]],
        [[6000, 6600]],
    ]);
});

test('stretches ask the same of accounts where length, order and people are the same', function (
    array $one,
    array $other,
    bool $isSame,
) {
    $shape = fn (array $sessions): string => OverlapGroup::all(runningAt($sessions))[0]->shape();
    expect($shape($one) === $shape($other))->toBe($isSame);
})->with([
    'a week on' => [[[0, 45], [30, 75]], [[10080, 10125], [10110, 10155]], true],
    'longer' => [[[0, 45]], [[0, 46]], false],
    'later within' => [[[0, 45], [30, 75]], [[0, 45], [31, 76]], false],
    'for more people' => [[[0, 45, 10]], [[0, 45, 11]], false],
]);

test('every session finds an account, the tightest that leaves room for the others', function (
    array $sessions,
    array $accounts,
    ?array $is,
) {
    $accounts = array_map(
        fn (array $a, int $n): HostAccount => new HostAccount($n + 1, 'A', $a[0], $a[1], $a[2] ?? 1),
        $accounts,
        array_keys($accounts),
    );
    expect(OverlapGroup::all(runningAt($sessions))[0]->fit($accounts))->toBe($is);
})->with([
    'the smaller of two' => [[[0, 45, 10]], [[30, 60], [10, 60]], [2]],
    'the larger, where the smaller is taken' => [[[0, 45], [10, 55]], [[10, 60], [30, 60]], [1, 2]],
    'the small one again, once it is free' => [[[0, 45], [10, 100], [45, 90]], [[10, 120], [30, 120]], [1, 2, 1]],
    'two at one time on one account, the third on the other' => [
        [[0, 45], [5, 50], [10, 55]],
        [[10, 60, 2], [30, 60]],
        [1, 1, 2],
    ],
    'of two alike the first' => [[[0, 45], [10, 55], [20, 65]], [[10, 60], [10, 60], [10, 60]], [1, 2, 3]],
    'another order than the tightest first' => [
        [[0, 50, 15], [10, 60, 15], [20, 70, 35], [55, 165, 30]],
        [[40, 60], [20, 120], [40, 120]],
        [3, 2, 1, 3],
    ],
    'too many' => [[[0, 45], [10, 55]], [[10, 60]], null],
    'too large for any' => [[[0, 45, 50]], [[10, 60]], null],
    'too long for any' => [[[0, 61]], [[10, 60]], null],
    'no account' => [[[0, 45]], [], null],
]);

test('the fewest accounts, worked out by hand', function (array $sessions, array $plans, array $counts) {
    $plans = array_map(
        fn (array $p, int $n): HostAccount => new HostAccount($n + 1, '', $p[1], $p[2], $p[3] ?? 1, $p[0]),
        $plans,
        array_keys($plans),
    );
    expect((new FewestAccounts(runningAt($sessions), $plans))->of())->toBe($counts);
})->with([
    'no plan' => [[[0, 45]], [], []],
    'no session' => [[], [['S', 10, 60]], []],
    'one' => [[[0, 45]], [['S', 10, 60]], ['S' => 1]],
    'of two sizes the smaller' => [[[0, 45]], [['L', 99, 60], ['S', 10, 60]], ['S' => 1]],
    'the larger only for what needs it' => [
        [[0, 45, 90], [0, 45], [0, 45]],
        [['L', 99, 60], ['S', 10, 60]],
        ['S' => 2, 'L' => 1],
    ],
    'of two alike the one that holds more at one time' => [
        [[0, 45], [0, 45], [0, 45]],
        [['One', 10, 60], ['Three', 10, 60, 3]],
        ['Three' => 1],
    ],
    'half as many where each holds two, rounded up' => [
        [[0, 45], [0, 45], [0, 45], [0, 45], [0, 45]],
        [['Two', 10, 60, 2]],
        ['Two' => 3],
    ],
    'one for many that come one after the other' => [[[0, 45], [45, 90], [90, 135]], [['S', 10, 60]], ['S' => 1]],
    'the longer one for what is long' => [
        [[0, 90], [0, 45]],
        [['Short', 10, 60], ['Long', 10, 120]],
        ['Short' => 1, 'Long' => 1],
    ],
    'what no plan holds is left out' => [[[0, 500], [0, 45]], [['S', 10, 60]], ['S' => 1]],
    'the larger serves a second that no more than it needs' => [
        [[0, 45, 90], [50, 95]],
        [['S', 10, 60], ['L', 99, 60]],
        ['L' => 1],
    ],
]);
