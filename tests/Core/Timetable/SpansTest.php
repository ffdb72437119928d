<?php

use Nomada\Core\Timetable\Spans;
use Tests\Core\Scenario;

test('what lies in a span is what one look at each would find', function () {
    mt_srand(20271127);
    for ($round = 0; $round < Scenario::rounds(200); $round++) {
        $spans = [];
        for ($n = mt_rand(0, 12); $n > 0; $n--) {
            $from = mt_rand(-30, 30);
            $spans[] = [$from, $from + mt_rand(1, 20), mt_rand(0, 3)];
        }
        $made = new Spans($spans);
        for ($from = -40; $from < 40; $from += 3) {
            $to = $from + mt_rand(1, 25);
            $in = array_filter($spans, fn (array $s): bool => $s[0] < $to && $s[1] > $from);
            expect($made->within($from, $to))->toBe(array_sum(array_column($in, 2)));
        }
    }
});

test('a span that ends when another begins is not in it, and one without a weight counts once', function () {
    $spans = new Spans([[480, 540], [540, 600], [600, 660, 4]]);
    expect([
        $spans->within(540, 600),
        $spans->within(539, 601),
        $spans->within(479, 480),
        $spans->within(0, 1440),
        (new Spans([]))->within(0, 1440),
    ])->toBe([1, 6, 0, 6, 0]);
});
