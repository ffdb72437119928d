<?php

declare(strict_types=1);

use Nomada\Core\Timetable\FewestAccounts;
use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\HostedSeries;
use Nomada\Core\Timetable\Licences;
use Tests\Core\Scenario;

/** One session a series: start and end in minutes, and how many come. */
function oneSession(int $series, int $from, int $to, int $people): HostedSeries
{
    return new HostedSeries($series, [[60 * $from, 60 * $to]], $people);
}

/**
 * The oracle: tries every account for every session, and asks of the whole whether it holds.
 *
 * @param  list<HostedSeries>  $sessions
 * @param  list<HostAccount>  $accounts
 * @param  list<int>  $chosen
 */
function anyWay(array $sessions, array $accounts, array $chosen = []): bool
{
    foreach ($accounts as $at => $account) {
        $mine = array_keys($chosen, $at, true);
        foreach ($mine as $i) {
            [$start] = $sessions[$i]->sessions[0];
            $together = array_filter(
                $mine,
                fn (int $j): bool => $sessions[$j]->sessions[0][0] <= $start &&
                    $sessions[$j]->sessions[0][1] > $start,
            );
            if (count($together) > $account->atOnce || ! $account->holds($sessions[$i])) {
                return false;
            }
        }
    }
    if (count($chosen) === count($sessions)) {
        return true;
    }

    return array_any(array_keys($accounts), fn (int $at): bool => anyWay($sessions, $accounts, [...$chosen, $at]));
}

/**
 * @param  array<string, int>  $counts
 * @param  list<HostAccount>  $plans
 * @return list<HostAccount>
 */
function accountsOf(array $counts, array $plans): array
{
    $out = [];
    foreach ($plans as $plan) {
        for ($n = 0; $n < ($counts[$plan->plan] ?? 0); $n++) {
            $out[] = new HostAccount(
                count($out) + 1,
                'A',
                $plan->seats,
                $plan->minutes,
                $plan->atOnce,
                $plan->plan,
            );
        }
    }

    return $out;
}

/**
 * Every way to have at most so many accounts.
 *
 * @param  list<string>  $plans
 * @return list<array<string, int>>
 */
function waysToHave(int $most, array $plans): array
{
    if ($plans === []) {
        return [[]];
    }
    $out = [];
    for ($n = 0; $n <= $most; $n++) {
        foreach (waysToHave($most - $n, array_slice($plans, 1)) as $rest) {
            $out[] = [$plans[0] => $n, ...$rest];
        }
    }

    return $out;
}

it('says how many of each plan suffice', function (): void {
    $plans = [new HostAccount(1, '', 100, 120, 1, 'Large'), new HostAccount(2, '', 30, 60, 1, 'Small')];
    $sessions = [
        oneSession(1, 0, 45, 20),
        oneSession(2, 0, 45, 60),
        oneSession(3, 30, 75, 20),
        oneSession(4, 45, 150, 20),
        oneSession(5, 0, 10, 400),
    ];
    expect((new FewestAccounts($sessions, $plans))->of())->toEqual(['Small' => 2, 'Large' => 1]);
    expect((new FewestAccounts([], $plans))->of())->toBe([]);
    expect((new FewestAccounts([oneSession(1, 0, 45, 400)], $plans))->of())->toBe([]);
    // What holds two at once is half as many.
    $double = [new HostAccount(1, '', 30, 60, 2, 'Double')];
    expect(
        (new FewestAccounts(
            [oneSession(1, 0, 45, 9), oneSession(2, 0, 45, 9), oneSession(3, 9, 45, 9)],
            $double,
        ))->of(),
    )->toBe(['Double' => 2]);
});

it('finds as few as trying everything finds, and an assignment that shows it', function (): void {
    mt_srand(5);
    for ($round = 0; $round < Scenario::rounds(60); $round++) {
        $plans = array_slice(
            [
                new HostAccount(1, '', 10, 60, mt_rand(1, 2), 'S'),
                new HostAccount(2, '', 20, 60, 1, 'M'),
                new HostAccount(3, '', 20, 120, 1, 'Long'),
                new HostAccount(4, '', 40, 120, 1, 'L'),
            ],
            mt_rand(0, 2),
        );
        $sessions = [];
        for ($i = 1, $n = mt_rand(2, 5); $i <= $n; $i++) {
            $from = 15 * mt_rand(0, 8);
            $sessions[] = oneSession($i, $from, $from + 15 * mt_rand(1, 6), [8, 18, 38][mt_rand(0, 2)]);
        }
        $counts = (new FewestAccounts($sessions, $plans))->of();
        $total = array_sum($counts);
        $accounts = accountsOf($counts, $plans);
        expect(anyWay($sessions, $accounts))->toBeTrue("round $round");
        expect((new Licences($sessions))->assign($accounts)->leftOver())->toBe(0, "round $round");
        // One fewer is never enough, whichever they are.
        foreach (waysToHave($total - 1, array_column($plans, 'plan')) as $fewer) {
            expect(anyWay($sessions, accountsOf($fewer, $plans)))->toBeFalse("round $round");
        }
    }
});

it('leaves none over where only another order than the first leads there', function (): void {
    // Two sizes that do not contain each other, and one that holds both.
    $accounts = [
        new HostAccount(1, 'A', 40, 60),
        new HostAccount(2, 'B', 20, 120),
        new HostAccount(3, 'C', 40, 120),
    ];
    $sessions = [
        oneSession(1, 0, 50, 15),
        oneSession(2, 10, 60, 15),
        oneSession(3, 20, 70, 35),
        oneSession(4, 55, 165, 30),
    ];
    expect((new Licences($sessions))->assign($accounts)->leftOver())->toBe(0);
});
