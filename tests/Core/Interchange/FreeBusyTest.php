<?php

use Nomada\Core\Interchange\Calendar\FreeBusy;
use Tests\Core\Scenario;

test('busy times are merged, cut to the span and put in order', function (array $busy, array $merged) {
    expect(FreeBusy::merged($busy, 10, 100))->toBe($merged);
})->with([
    'none' => [[], []],
    'one' => [[[20, 30]], [[20, 30]]],
    'overlapping and touching' => [[[40, 50], [20, 30], [25, 35], [35, 38]], [[20, 38], [40, 50]]],
    'one within another' => [[[20, 60], [30, 40]], [[20, 60]]],
    'cut' => [[[0, 15], [90, 200]], [[10, 15], [90, 100]]],
    'outside' => [[[0, 10], [100, 110], [5, 5]], []],
]);

test('every moment is busy in the merged ones exactly where it was in one of the others', function () {
    mt_srand(9);
    for ($n = 0; $n < Scenario::rounds(200); $n++) {
        $busy = array_map(fn () => [($s = mt_rand(0, 60)), $s + mt_rand(0, 12)], range(1, 6));
        $merged = FreeBusy::merged($busy, 5, 55);
        $in = fn (array $spans, int $at): bool => array_filter($spans, fn ($p) => $p[0] <= $at && $at < $p[1]) !== [];
        for ($at = 0; $at < 80; $at++) {
            expect($in($merged, $at))->toBe($at >= 5 && $at < 55 && $in($busy, $at));
        }
        for ($k = 1; $k < count($merged); $k++) {
            expect($merged[$k][0])->toBeGreaterThan($merged[$k - 1][1]);
        }
    }
});
