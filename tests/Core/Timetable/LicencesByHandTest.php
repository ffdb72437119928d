<?php

use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\HostedSeries;
use Nomada\Core\Timetable\Licences;
use Tests\Core\Scenario;

/*
 * Series drawn as hours of one day, each on a line of its own: "a 9-10 11-12 @2" is series 1 with two sessions, which
 * is on account 2. What comes of them is written in the same way.
 */
final class Hours
{
    /** @return list<HostedSeries> */
    public static function running(string $lines): array
    {
        $out = [];
        foreach (explode('; ', $lines) as $line) {
            preg_match('/^(\w)((?: \d+-\d+)+)(?: @(\d+))?$/', $line, $m) === 1 || throw new LogicException($line);
            preg_match_all('/(\d+)-(\d+)/', $m[2], $all, PREG_SET_ORDER);
            $out[] = new HostedSeries(
                ord($m[1]) - ord('a') + 1,
                array_map(fn (array $s): array => [3600 * (int) $s[1], 3600 * (int) $s[2]], $all),
                account: isset($m[3]) ? (int) $m[3] : null,
            );
        }

        return $out;
    }

    /**
     * @return array{string, string, string, int} which stand whole, which in parts, what is left over, how many changed
     */
    public static function assigned(string $lines, int $accounts, int $atOnce = 1): array
    {
        $all = array_map(
            fn (int $n): HostAccount => new HostAccount($n, "Host $n", 30, 600, $atOnce),
            $accounts === 0 ? [] : range(1, $accounts),
        );
        $got = (new Licences(self::running($lines)))->assign($all);
        $name = fn (int $series): string => chr(ord('a') + $series - 1);
        $hour = fn (int $start): string => (string) intdiv($start, 3600);
        $whole = $parts = $left = [];
        foreach ($got->accounts as $series => $account) {
            $whole[] = "{$name($series)}@$account";
        }
        foreach ($got->split as $series => $at) {
            foreach ($at as $start => $account) {
                $parts[] = "{$name($series)}{$hour($start)}@$account";
            }
        }
        foreach ($got->left as $series => $starts) {
            foreach ($starts as $start) {
                $left[] = "{$name($series)}{$hour($start)}";
            }
        }

        return [implode(' ', $whole), implode(' ', $parts), implode(' ', $left), $got->changed];
    }
}

test('which series runs on which account', function (string $lines, int $accounts, int $atOnce, array $is) {
    expect(Hours::assigned($lines, $accounts, $atOnce))->toBe($is);
})->with([
    'without accounts all is left over' => ['a 9-10 11-12; b 9-10', 0, 1, ['', '', 'a9 a11 b9', 0]],
    'one after the other on one' => ['a 9-10; b 10-11; c 11-12', 1, 1, ['a@1 b@1 c@1', '', '', 0]],
    'what stands stays' => ['a 9-10 @2; b 9-10', 2, 1, ['a@2 b@1', '', '', 0]],
    'an account that is gone is not stood on' => ['a 9-10 @7; b 9-10', 2, 1, ['a@1 b@2', '', '', 1]],
    'of two that stand at one place the longer series stays' => [
        'a 9-10 @1; b 9-10 11-12 @1',
        2,
        1,
        ['a@2 b@1', '', '', 1],
    ],
    'of two alike the one that was first' => ['b 9-10 @1; a 9-10 @1', 2, 1, ['a@1 b@2', '', '', 1]],
    'two short ones rather than a long one' => ['a 9-10; b 11-12; c 9-12', 1, 1, ['', 'a9@1 b11@1', 'c9', 0]],
    'in whatever order they come' => ['c 9-10; a 9-12; b 11-12', 1, 1, ['', 'c9@1 b11@1', 'a9', 0]],
    'those that only touch are not in the way' => [
        'a 8-9; b 9-11; c 11-12; d 10-11',
        1,
        1,
        ['a@1 b@1 c@1', '', 'd10', 0],
    ],
    'two at once on one' => ['a 9-10; b 9-10; c 9-10', 1, 2, ['a@1 b@1', '', 'c9', 0]],
    'one is moved where that makes room' => [
        'a 9-10 @1; b 9-10 11-12; c 11-12 @2',
        2,
        1,
        ['a@2 b@1 c@2', '', '', 1],
    ],
    'one moves so that another stays whole, where not all have room' => [
        'a 9-10 @1; b 11-12 @2; c 9-10 11-12; d 9-10 @1; e 11-12 @2',
        2,
        1,
        ['a@2 b@2 c@1', '', 'd9 e11', 1],
    ],
    'parts where no account has room for the whole' => [
        'a 9-11; b 10-12; c 9-10 11-12',
        2,
        1,
        ['a@1 b@2', 'c9@2 c11@1', '', 0],
    ],
]);

test('how many accounts suffice, and when most run', function () {
    $all = new Licences(Hours::running('a 9-11 13-14; b 10-12 13-14; c 10-11; d 13-14; e 15-16'));
    expect($all->peak())
        ->toBe(['n' => 3, 'from' => 36000, 'to' => 39600, 'times' => 2])
        ->and([$all->fewest(), $all->fewest(2), $all->fewest(3), $all->fewest(0)])
        ->toBe([3, 2, 1, 3])
        ->and((new Licences([]))->peak())
        ->toBe(['n' => 0, 'from' => 0, 'to' => 0, 'times' => 0])
        ->and((new Licences(Hours::running('a 9-10; b 9-10; c 9-10; d 9-10')))->fewest(3))
        ->toBe(2);
});

test('the curve is what a look at the clock on the wall counts', function (string $place) {
    $zone = Zone::named($place);
    for ($round = 0; $round < Scenario::rounds(30); $round++) {
        mt_srand($round);
        $running = $counted = $wanted = [];
        for ($n = 0; $n < 4; $n++) {
            $sessions = [];
            for ($week = 0; $week < 4; $week++) {
                // Around the nights on which clocks change, in spring.
                $start = (int) strtotime('2027-03-05 00:00 UTC') + 60 * mt_rand(0, 40 * 1440);
                $sessions[] = [$start, $start + mt_rand(60, 5400)];
            }
            sort($sessions);
            $running[] = new HostedSeries($n, $sessions);
            foreach ($sessions as [$start, $end]) {
                $wall = (new DateTimeImmutable("@$start"))->setTimezone(new DateTimeZone($place));
                $minute = 60 * (int) $wall->format('G') + (int) $wall->format('i');
                for ($at = 0; $at < 2 * 1440; $at += 5) {
                    $isOn = $at + 5 > $minute && 60 * ($at - $minute) < $end - $start;
                    if ($isOn) {
                        $day = $wall->format('Y-m-d');
                        $counted[$day][$at] = ($counted[$day][$at] ?? 0) + 1;
                    }
                }
            }
        }
        foreach ($counted as $day => $steps) {
            $weekday = (int) (new DateTimeImmutable($day))->format('N');
            foreach ($steps as $at => $n) {
                $wanted[$weekday][$at] = max($wanted[$weekday][$at] ?? 0, $n);
            }
        }
        ksort($wanted);
        array_walk($wanted, fn (array &$steps) => ksort($steps));
        expect((new Licences($running))->curve($zone))->toBe($wanted, "round $round");
    }
})->with(['Europe/Madrid', 'America/St_Johns', 'Australia/Lord_Howe', 'UTC']);
