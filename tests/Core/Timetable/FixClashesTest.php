<?php

use Nomada\Core\Timetable\Solver\Answer;
use Nomada\Core\Timetable\Solver\Arrangement;
use Nomada\Core\Timetable\Solver\Block;
use Nomada\Core\Timetable\Solver\Candidate;
use Nomada\Core\Timetable\Solver\DailyLimits;
use Nomada\Core\Timetable\Solver\DaySet;
use Nomada\Core\Timetable\Solver\Deadline;
use Nomada\Core\Timetable\Solver\FixClashes;
use Nomada\Core\Timetable\Solver\MovableSeries;
use Nomada\Core\Timetable\Solver\Problem;
use Nomada\Core\Timetable\Solver\Score;
use Nomada\Core\Timetable\Solver\SharedPeople;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Core\Scenario;

const DAYS_AHEAD = 10;

/**
 * A place on weekdays 1 to 5 of two weeks.
 *
 * @param  callable(int): bool  $meets  on which of its days: every second week, a letter of a rotation, not a closed
 *   one
 */
function place(
    array $weekdays,
    int $start,
    int $minutes,
    callable $meets,
    array $cost = [],
    bool $isNow = false,
): Candidate {
    $days = array_filter(
        range(0, DAYS_AHEAD - 1),
        fn (int $d): bool => in_array(($d % 5) + 1, $weekdays, true) && $meets($d),
    );

    return new Candidate(
        $weekdays,
        $start,
        [new Block($start, $start + $minutes, DaySet::of($days, 0, DAYS_AHEAD))],
        array_replace(Score::NONE, $cost),
        $isNow ? null : Scenario::plan($weekdays, '2027-01-12', minute: $start, minutes: $minutes),
    );
}

/** A small timetable at random, with everything that can be between two series. */
function randomProblem(int $seed, int $n, int $most): Problem
{
    $r = new Randomizer(new Mt19937($seed));
    $series = $shared = [];
    $closed = $r->getInt(0, 2 * DAYS_AHEAD);
    $kinds = [
        fn (int $d): bool => $d !== $closed,
        fn (int $d): bool => $d !== $closed && $d < 5,
        fn (int $d): bool => $d !== $closed && $d >= 5,
    ];
    $places = function (int $weekdays, int $minutes, int $most, bool $isNow, callable $meets) use ($r): array {
        $out = [];
        for ($i = 0; $i < $most; $i++) {
            $on = array_slice($r->shuffleArray($weekdays === 5 ? [1, 2, 3, 4, 5] : [1, 2, 3]), 0, $weekdays);
            sort($on);
            $one = place(
                $on,
                540 + 20 * $r->getInt(0, max(3, intdiv($most, 4))),
                $minutes,
                $meets,
                [
                    Score::MUST => (int) ($r->getInt(1, 6) === 1),
                    Score::MOVED => (int) ! $isNow,
                    Score::LOST => $isNow ? 0 : (int) ($r->getInt(1, 4) === 1),
                    Score::HOURS => $r->getInt(0, 2),
                    Score::DAYS => $isNow ? 0 : $r->getInt(0, 3),
                ],
                $isNow,
            );
            $out[$one->key()] = $one;
        }

        return array_values($out);
    };
    for ($id = 1; $id <= $n; $id++) {
        $weekdays = $r->getInt(1, 2);
        $meets = $kinds[$r->getInt(0, 2)];
        $letter = $r->getInt(0, 9);
        if ($letter < 3) {
            // A letter of a rotation of three days, which keeps its days wherever it goes.
            $weekdays = 5;
            $meets = fn (int $d): bool => $d !== $closed && $d % 3 === $letter;
        }
        [$now] = $r->getInt(1, 5) === 1 ? [Candidate::nowhere()] : $places($weekdays, 45, 1, true, $meets);
        $others = $places($weekdays, 45, $most, false, $meets);
        $series[$id] = new MovableSeries($id, $now, $r->getInt(1, 5) === 1, fn (): array => $others);
    }
    for ($a = 1; $a <= $n; $a++) {
        for ($b = $a + 1; $b <= $n; $b++) {
            $of = new SharedPeople($r->getInt(1, 8) === 1, $r->getInt(1, 6) === 1, $r->getInt(1, 6) === 1);
            for ($i = $r->getInt(-2, 2); $i > 0; $i--) {
                $days = $r->getInt(0, 1) === 0 ? null : DaySet::of(range($r->getInt(0, 4), 9), 0, DAYS_AHEAD);
                $of->add($r->getInt(1, 3) === 1, $days);
            }
            if ($of->hasAnybody()) {
                $shared[$a][$b] = $shared[$b][$a] = $of;
            }
        }
    }

    $limits = [];
    for ($id = 1; $id <= $n && $r->getInt(0, 1) === 1; $id++) {
        $limits[$id] = [['s7', 1, DaySet::of(range(0, $r->getInt(4, 9)), 0, DAYS_AHEAD)], ['t1', 2, null]];
    }

    return new Problem($series, $shared, $r->getInt(0, 2) > 0, 5, $limits === [] ? null : new DailyLimits($limits));
}

/** By how many series somebody has more on a day than they should, summed over the days. */
function tooMany(Problem $problem, array $places): int
{
    $counts = [];
    foreach ($problem->limits->people ?? [] as $id => $people) {
        foreach ($people as [$person, $most, $there]) {
            for ($day = 0; $day < DAYS_AHEAD; $day++) {
                $isOn = fn (Block $b): bool => $b->days[$day] === "\1";
                if (array_filter($places[$id]->blocks, $isOn) !== [] && ($there[$day] ?? "\1") === "\1") {
                    $counts["$person $day"] = [($counts["$person $day"][0] ?? 0) + 1, $most];
                }
            }
        }
    }

    return array_sum(array_map(fn (array $c): int => max(0, $c[0] - $c[1]), $counts));
}

/**
 * The best score of all arrangements, by trying every one; those that cost more than a known one already, with some of
 * their series, are not followed to the end.
 */
function bestOfAll(Problem $problem, array $known): array
{
    $places = array_map(fn (MovableSeries $s): array => [$s->now, ...$s->candidates()], $problem->series);
    $pairs = [];
    foreach ($problem->shared as $a => $others) {
        foreach ($others as $b => $of) {
            foreach ($a < $b ? $places[$a] : [] as $i => $p) {
                foreach ($places[$b] as $j => $q) {
                    $pairs[$b][$a][$i][$j] = $problem->pair($p, $q, $of);
                }
            }
        }
    }
    $walk = function (array $chosen, array $score) use (&$walk, &$known, $problem, $places, $pairs): void {
        $id = count($chosen) + 1;
        if (! isset($places[$id])) {
            $on = array_map(fn (array $of, int $i): Candidate => $of[$i], $places, $chosen);
            $score[Score::ADVICE] += tooMany($problem, array_combine(array_keys($places), $on));
            $known = min($known, $score);

            return;
        }
        foreach (array_keys($places[$id]) as $j) {
            $next = Score::sum($score, $places[$id][$j]->cost);
            foreach ($pairs[$id] ?? [] as $other => $of) {
                [$must, $students, $advice] = $of[$chosen[$other]][$j];
                $next[Score::MUST] += $must;
                $next[Score::STUDENTS] += $students;
                $next[Score::ADVICE] += $advice;
            }
            if ($next <= $known) {
                $walk($chosen + [$id => $j], $next);
            }
        }
    };
    $walk([], Score::NONE);

    return $known;
}

function fixed(Problem $problem, int $seed = 1, float $seconds = 60): Answer
{
    return (new FixClashes($problem, new Deadline(fn (): float => 0.0, $seconds), $seed))->answer();
}

test('of small timetables the answer is the best of all arrangements, in every respect', function () {
    for ($seed = 1; $seed <= 500; $seed++) {
        // Eight series of up to forty places are as much as can be tried out, where few of them need to move.
        $isLarge = in_array($seed, [140, 220, 240, 320, 340, 360, 380, 400], true);
        $problem = $isLarge ? randomProblem($seed, 8, 40) : randomProblem($seed, 3 + ($seed % 3), 6);
        $answer = fixed($problem, $seed);
        $best = bestOfAll($problem, $answer->after->values());
        expect([$seed, $answer->after->values(), $answer->isProved])->toBe([$seed, $best, true]);
        // What it says is what the moves come to.
        $on = new Arrangement($problem);
        expect($on->total())->toBe($answer->before->values());
        $on->set($answer->moves);
        expect($on->total())
            ->toBe($answer->after->values())
            ->and(count($answer->moves))
            ->toBe($answer->after->moved);
        if ($answer->after->must === 0) {
            expect($answer->bound)->toBeLessThanOrEqual($answer->after->moved);
        }
    }
});
