<?php

use Nomada\Core\Timetable\AccountReassignment;
use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\HostedSeries;

/*
 * Hours of one day: series by letters, "a 9-10 14-15 x20" comes with 20 people (5 where nothing is said). Accounts by
 * number: seats and minutes. What was assigned: whole series ("a@1"), split ones by their start ("b9@2"), those left
 * over ("c9").
 */
function recoloured(string $lines, array $accounts, string $stands): string
{
    $running = [];
    foreach (explode('; ', $lines) as $line) {
        preg_match_all('/(\d+)-(\d+)/', $line, $all, PREG_SET_ORDER);
        preg_match('/ x(\d+)/', $line, $people);
        $running[] = new HostedSeries(
            ord($line[0]),
            array_map(fn (array $s): array => [3600 * (int) $s[1], 3600 * (int) $s[2]], $all),
            (int) ($people[1] ?? 5),
        );
    }
    $at = $split = $left = [];
    foreach (array_filter(explode(' ', $stands)) as $one) {
        preg_match('/^(\w)(\d*)(?:@(\d+))?$/', $one, $m);
        match (true) {
            $m[2] === '' => ($at[ord($m[1])] = (int) $m[3]),
            isset($m[3]) => ($split[ord($m[1])][3600 * (int) $m[2]] = (int) $m[3]),
            default => ($left[ord($m[1])][] = 3600 * (int) $m[2]),
        };
    }
    $hosts = [];
    foreach ($accounts as $id => [$seats, $minutes]) {
        $hosts[] = new HostAccount($id, "Host $id", $seats, $minutes);
    }
    [$at, $split, $left] = (new AccountReassignment($running, $hosts))->of($at, $split, $left);
    $out = [];
    foreach ($at as $series => $account) {
        $out[] = chr($series)."@$account";
    }
    foreach ($split as $series => $starts) {
        foreach ($starts as $start => $account) {
            $out[] = chr($series).intdiv($start, 3600)."@$account";
        }
        expect($starts)->not->toBe([]);
    }
    foreach ($left as $series => $starts) {
        foreach ($starts as $start) {
            $out[] = chr($series).intdiv($start, 3600);
        }
        expect($starts)->not->toBe([]);
    }

    return implode(' ', $out);
}

test('what is left over is coloured anew, and nothing else is touched', function (
    string $lines,
    array $accounts,
    string $stands,
    string $then,
) {
    expect(recoloured($lines, $accounts, $stands))->toBe($then);
})->with([
    'nothing is left over: nobody moves, even to where it would be tighter' => [
        'a 9-10; b 9-10',
        [1 => [10, 60], 2 => [30, 60], 3 => [40, 60]],
        'a@3 b@2',
        'a@3 b@2',
    ],
    'a place is free beside whoever stands' => [
        'a 8-10; b 9-10',
        [1 => [30, 600], 2 => [30, 600]],
        'a@1 b9',
        'a@1 b9@2',
    ],
    'one in the way of a large class goes where it fits; its other session stays' => [
        'a 9-10 14-15; b 9-10 x20',
        [1 => [10, 60], 2 => [30, 60]],
        'a@2 b9',
        'a9@1 a14@2 b9@2',
    ],
    'where it does not help, all stays as it is' => ['a 9-10; b 9-10', [1 => [30, 60]], 'a@1 b9', 'a@1 b9'],
    'two instead of one: who gives way is left over' => [
        'a 9-11; b 9-10; c 10-11',
        [1 => [30, 600]],
        'a@1 b9 c10',
        'b9@1 c10@1 a9',
    ],
    'who gives way keeps the rest' => [
        'a 7-8 9-11 14-15; b 9-10; c 10-11',
        [1 => [30, 600]],
        'a@1 b9 c10',
        'b9@1 a7@1 a14@1 c10@1 a9',
    ],
    'one of two that are left over finds a place' => [
        'b 9-10 14-15; d 14-15',
        [1 => [30, 60]],
        'd@1 b9 b14',
        'd@1 b9@1 b14',
    ],
    'only a search finds the way' => [
        'a 9-11; b 10-12; c 11-13 x20',
        [1 => [10, 600], 2 => [30, 600]],
        'a@1 b@2 c11',
        'a9@2 b10@1 c11@2',
    ],
    'the fewest seats first, then the fewest minutes, then the lowest number' => [
        'a 9-10; b 11-12 x35; c 13-15',
        [9 => [30, 600], 4 => [30, 60], 3 => [30, 60], 1 => [40, 60]],
        'a9 b11 c13',
        'a9@3 b11@1 c13@9',
    ],
    'whoever is split already stays on the account of that session' => [
        'b 9-10 14-15; c 9-10',
        [1 => [30, 60], 2 => [30, 60], 3 => [30, 60]],
        'b9@3 b14@1 c9',
        'b9@3 b14@1 c9@1',
    ],
    'what was left over and finds a place stands in the order of the day' => [
        'a 9-10 11-12 13-14; b 9-10',
        [1 => [30, 60], 2 => [30, 60]],
        'a13@2 a11@1 b9@1 a9',
        'a9@1 a11@1 a13@2 b9@2',
    ],
    'one plan cannot hold it, whoever moves' => ['a 9-11', [1 => [30, 60]], 'a9', 'a9'],
]);
