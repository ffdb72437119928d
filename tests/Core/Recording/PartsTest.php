<?php

use Nomada\Core\Recording\Cue;
use Nomada\Core\Recording\Parts;
use Nomada\Core\Recording\RecordingState;

/** @return list<Cue> cues of some seconds each, with pauses of some seconds between them */
function spoken(int $seed, int $minutes): array
{
    mt_srand($seed);
    $cues = [];
    $at = mt_rand(0, 20_000);
    while ($at < $minutes * 60_000) {
        $length = mt_rand(2_000, 90_000);
        $cues[] = new Cue($at, min($at + $length, $minutes * 60_000), 'said');
        $at += $length + (mt_rand(0, 9) === 0 ? mt_rand(2_000, 60_000) : mt_rand(0, 1_500));
    }

    return array_values(array_filter($cues, fn (Cue $c): bool => $c->to > $c->from));
}

/**
 * What each way of cutting in the middle of a pause is worth, tried one by one: fewest parts, longest pauses.
 *
 * @param  list<Cue>  $cues
 * @return array{int, int}|null parts and milliseconds of pauses
 */
function bestOf(array $cues, int $length): ?array
{
    $places = [];
    foreach ($cues as $i => $cue) {
        if (isset($cues[$i + 1])) {
            $pause = $cues[$i + 1]->from - $cue->to;
            foreach ([0, intdiv($pause, 2), $pause] as $in) {
                $places[$cue->to + $in] = max($places[$cue->to + $in] ?? 0, $pause);
            }
        }
    }
    ksort($places);
    $best = [0 => [0, 0]];
    foreach ($places + [$length => 0] as $at => $pause) {
        foreach ($best as $from => [$parts, $sum]) {
            $size = $at - $from;
            if ($size >= Parts::LEAST && $size <= Parts::MOST) {
                $new = [$parts + 1, $sum + $pause];
                $old = $best[$at] ?? null;
                if ($old === null || $new[0] < $old[0] || ($new[0] === $old[0] && $new[1] > $old[1])) {
                    $best[$at] = $new;
                }
            }
        }
    }

    return $best[$length] ?? null;
}

test('a short one is one part, and nothing is none', function () {
    expect(Parts::of([new Cue(0, 1000, 'a')], 240_000))
        ->toBe([[0, 240_000]])
        ->and(Parts::of([], Parts::MOST))
        ->toBe([[0, Parts::MOST]])
        ->and(Parts::of([], 0))
        ->toBe([])
        ->and(Parts::of([new Cue(0, 9_000, 'a')], 5_000))
        ->toBe([[0, 9_000]]);
});

test('it is cut in the middle of the longest pause that is far enough from both ends', function () {
    $cues = [
        new Cue(0, 240_000, 'a'),
        // The longest of all, but four minutes are no part.
        new Cue(260_000, 700_000, 'b'),
        new Cue(703_000, 900_000, 'c'),
        new Cue(910_000, 1_500_000, 'd'),
    ];
    expect(Parts::of($cues, 1_500_000))
        ->toBe([[0, 905_000], [905_000, 1_500_000]])
        ->and(Parts::of(array_reverse($cues), 1_500_000))
        ->toBe([[0, 905_000], [905_000, 1_500_000]]);
});

test('cues that touch or lie over each other are cut between, never inside', function () {
    $cues = [new Cue(0, 800_000, 'a'), new Cue(700_000, 900_000, 'b'), new Cue(900_000, 1_400_000, 'c')];
    expect(Parts::of($cues, 1_400_000))->toBe([[0, 900_000], [900_000, 1_400_000]]);
});

test('silence is cut where it has to be', function () {
    $parts = Parts::of([], 3_600_000);
    expect($parts)->toHaveCount(3);
    foreach ($parts as [$from, $to]) {
        expect($to - $from)
            ->toBeGreaterThanOrEqual(Parts::LEAST)
            ->toBeLessThanOrEqual(Parts::MOST);
    }
});

test('what cannot be cut is not: short parts first, and a long cue is a part by itself', function () {
    // Nineteen minutes without a pause, and two behind them.
    $cues = [new Cue(0, 1_150_000, 'a'), new Cue(1_160_000, 1_260_000, 'b')];
    expect(Parts::of($cues, 1_260_000))->toBe([[0, 1_155_000], [1_155_000, 1_260_000]]);
    $long = [new Cue(400_000, 1_900_000, 'a'), new Cue(1_950_000, 2_600_000, 'b')];
    expect(Parts::of($long, 2_600_000))->toBe([[0, 400_000], [400_000, 1_900_000], [1_900_000, 2_600_000]]);
    // What is left before and behind it is too short to stand alone.
    expect(Parts::of([new Cue(200_000, 1_900_000, 'a')], 2_000_000))->toBe([[0, 2_000_000]]);
});

test('every transcript: no part too short, too long or inside a cue, and none better by trying all', function () {
    foreach (range(1, 120) as $seed) {
        $minutes = 21 + (($seed * 7) % 90);
        $cues = spoken($seed, $minutes);
        $length = $minutes * 60_000;
        $parts = Parts::of($cues, $length);
        $at = 0;
        $worth = 0;
        foreach ($parts as [$from, $to]) {
            expect($from)
                ->toBe($at)
                ->and($to - $from)
                ->toBeGreaterThanOrEqual(Parts::LEAST);
            expect($to - $from)->toBeLessThanOrEqual(Parts::MOST);
            $at = $to;
            $pause = 0;
            foreach ($cues as $i => $cue) {
                expect($cue->from < $to && $to < $cue->to)->toBeFalse("seed $seed cuts a cue");
                if ($cue->to <= $to && isset($cues[$i + 1]) && $cues[$i + 1]->from >= $to) {
                    $pause = max($pause, $cues[$i + 1]->from - $cue->to);
                }
            }
            $worth += $to === $length ? 0 : $pause;
        }
        $best = bestOf($cues, $length);
        expect($at)->toBe($length);
        // Ours has more places to choose from in a long pause, never fewer.
        expect(
            $best === null || count($parts) < $best[0] || [count($parts), $worth] >= [$best[0], $best[1]],
        )->toBeTrue("seed $seed");
        expect($best === null || count($parts) <= $best[0])->toBeTrue("seed $seed has too many");
    }
});

test('a recording goes only where it can', function () {
    $way = [];
    foreach (RecordingState::cases() as $state) {
        $way[$state->value] = array_map(fn (RecordingState $s): string => $s->value, $state->next());
    }
    expect($way)
        ->toBe([
            'recording' => ['processing', 'failed'],
            'processing' => ['ready', 'failed'],
            'ready' => ['released'],
            'released' => ['withdrawn'],
            'withdrawn' => ['released'],
            'failed' => [],
        ])
        ->and(array_values(array_filter(RecordingState::cases(), fn (RecordingState $s): bool => $s->isWhole())))
        ->toBe([RecordingState::Ready, RecordingState::Released, RecordingState::Withdrawn]);
});

// Where each part ends, in milliseconds: found by the code once it had passed the test above, kept so that a change of
// the choice between equals is seen.
test('the same transcript is cut at the same places', function (int $seed, int $minutes, array $ends) {
    expect(array_column(Parts::of(spoken($seed, $minutes), $minutes * 60_000), 1))->toBe($ends);
})->with([
    'seed 3, 47 minutes' => [3, 47, [1019467, 1670118, 2820000]],
    'seed 8, 61 minutes' => [8, 61, [376697, 1435035, 2595850, 3660000]],
    'seed 21, 95 minutes' => [21, 95, [1196869, 2359022, 3440705, 4635759, 5700000]],
    'seed 40, 130 minutes' => [40, 130, [958359, 2157195, 3171670, 4339752, 5536465, 6662318, 7800000]],
    'seed 77, 22 minutes' => [77, 22, [836145, 1320000]],
    'seed 101, 200 minutes' => [
        101,
        200,
        [1044907, 2232167, 3428776, 4321225, 5185865, 6374002, 7496225, 8680355, 9871824, 10813023, 12000000],
    ],
]);

test('a part may last exactly as long as it may, and be as short', function () {
    $talk = fn (int ...$ends): array => array_map(
        fn (int $from, int $to): Cue => new Cue($from, $to, 'said'),
        [0, ...array_slice($ends, 0, -1)],
        $ends,
    );
    expect(Parts::of($talk(Parts::MOST, Parts::MOST + Parts::LEAST), Parts::MOST + Parts::LEAST))
        ->toBe([[0, Parts::MOST], [Parts::MOST, Parts::MOST + Parts::LEAST]])
        ->and(Parts::of($talk(Parts::LEAST, Parts::MOST + Parts::LEAST), Parts::MOST + Parts::LEAST))
        ->toBe([[0, Parts::LEAST], [Parts::LEAST, Parts::MOST + Parts::LEAST]])
        // One millisecond more, and it is one that is never cut.
        ->and(Parts::of($talk(Parts::LEAST, Parts::MOST + Parts::LEAST + 1), Parts::MOST + Parts::LEAST + 1))
        ->toBe([[0, Parts::LEAST], [Parts::LEAST, Parts::MOST + Parts::LEAST + 1]])
        ->and(Parts::of($talk(Parts::LEAST - 1, Parts::MOST + Parts::LEAST), Parts::MOST + Parts::LEAST))
        ->toBe([[0, Parts::MOST + Parts::LEAST]]);
});

/** @return list<array{float, float}> parts in minutes, of cues in minutes */
function partsInMinutes(array $cues, float $length): array
{
    return array_map(
        fn (array $part): array => [$part[0] / 60_000, $part[1] / 60_000],
        Parts::of(
            array_map(fn (array $c): Cue => new Cue((int) (60_000 * $c[0]), (int) (60_000 * $c[1]), 'x'), $cues),
            (int) (60_000 * $length),
        ),
    );
}

test('parts, worked out by hand', function (array $cues, float $length, array $parts) {
    expect(partsInMinutes($cues, $length))->toEqual($parts);
})->with([
    'exactly as long as a part may be' => [[[0, 20]], 20, [[0, 20]]],
    'the one pause' => [[[0, 12], [13, 24]], 24, [[0, 12.5], [12.5, 24]]],
    'the longer of two pauses' => [[[0, 10], [10.2, 13], [14, 24]], 24, [[0, 13.5], [13.5, 24]]],
    'spoken over each other, in any order: one, and no pause within' => [
        [[9, 13], [0, 10], [14, 24], [9.5, 9.6]],
        24,
        [[0, 13.5], [13.5, 24]],
    ],
    'said for longer than a part may last, with enough before and behind' => [
        [[0, 6], [7, 29], [30, 36]],
        36,
        [[0, 7], [7, 29], [29, 36]],
    ],
    'too little before and behind: with it' => [[[0, 3], [4, 26], [27, 30]], 30, [[0, 30]]],
    'just enough before, too little behind' => [[[5, 27], [28, 31.9]], 31.9, [[0, 5], [5, 31.9]]],
    'two of them' => [[[0, 21], [22, 50]], 56, [[0, 21], [21, 50], [50, 56]]],
    'a rest that is cut again' => [[[0, 21], [22, 30], [31, 45]], 45, [[0, 21], [21, 30.5], [30.5, 45]]],
    'the transcript goes on for longer' => [[[0, 12], [13, 24]], 20, [[0, 12.5], [12.5, 24]]],
]);

test('around what is spoken without a pause for too long the rest is cut as ever', function (
    int $from,
    int $to,
    int $length,
) {
    $parts = Parts::of([new Cue($from, $to, 'on and on')], $length);
    $at = 0;
    $others = [];
    foreach ($parts as [$begin, $end]) {
        // Without a hole, and nothing twice.
        expect($begin)->toBe($at);
        $at = $end;
        if ($begin > $from || $end < $to) {
            $others[] = $end - $begin;
        } else {
            expect([$begin, $end])->toBe([
                $from < Parts::LEAST ? 0 : $from,
                $length - $to < Parts::LEAST ? $length : $to,
            ]);
        }
    }
    expect($at)->toBe($length);
    foreach ($others as $each) {
        expect($each)->toBeGreaterThanOrEqual(Parts::LEAST)->toBeLessThanOrEqual(Parts::MOST);
    }
    $rest = ($from < Parts::LEAST ? 0 : $from) + ($length - $to < Parts::LEAST ? 0 : $length - $to);
    expect(array_sum($others))->toBe($rest);
})->with([
    'in the middle' => [1_800_000, 3_100_000, 7_200_000],
    'as soon as a part may end' => [300_000, 1_600_000, 3_000_000],
    'a moment too soon' => [299_999, 1_600_000, 3_000_000],
    'as late as a part may begin' => [2_000_000, 3_300_000, 3_600_000],
    'a moment too late' => [2_000_000, 3_300_000, 3_599_999],
    'from the first word' => [0, 1_200_001, 5_000_000],
]);
