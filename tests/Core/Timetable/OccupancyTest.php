<?php

use Nomada\Core\Timetable\HostAccount;
use Nomada\Core\Timetable\HostedSeries;
use Nomada\Core\Timetable\Occupancy;

/** A series with sessions in seconds, for three people. */
function seriesAt(int $id, array ...$sessions): HostedSeries
{
    return new HostedSeries($id, $sessions, 3);
}

function accountFor(int $atOnce = 1, int $id = 1): HostAccount
{
    return new HostAccount($id, "A$id", 10, 3000, $atOnce);
}

// Around midnight of UTC, at which what is given out is filed by days.
test('whether an account has a place', function (array $runs, array $asks, bool $takes, int $atOnce = 1) {
    $on = new Occupancy();
    foreach ($runs as $n => $one) {
        $on->put(seriesAt($n + 1, $one), 1);
    }
    expect($on->takes(seriesAt(9, ...$asks), accountFor($atOnce)))->toBe($takes);
})->with([
    'nothing runs' => [[], [[100, 200]], true],
    'as it ends' => [[[100, 200]], [[200, 300]], true],
    'until it begins' => [[[100, 200]], [[0, 100]], true],
    'a second before its end' => [[[100, 200]], [[199, 300]], false],
    'a second after its start' => [[[100, 200]], [[0, 101]], false],
    'around it' => [[[100, 200]], [[0, 300]], false],
    'of two sessions one' => [[[100, 200]], [[0, 50], [150, 160]], false],
    'over midnight, on the day before' => [[[86_000, 86_500]], [[86_300, 86_390]], false],
    'over midnight, on the day after' => [[[86_000, 86_500]], [[86_450, 86_600]], false],
    'asks over midnight, of the day after' => [[[86_410, 86_500]], [[86_300, 86_420]], false],
    'ends at midnight' => [[[86_000, 86_400]], [[86_400, 86_500]], true],
    'begins at midnight' => [[[86_400, 86_500]], [[86_000, 86_400]], true],
    'two at one time, one runs' => [[[100, 200]], [[100, 200]], true, 2],
    'two at one time, two run' => [[[100, 200], [150, 250]], [[160, 170]], false, 2],
    'two at one time, two run one after the other' => [[[100, 150], [150, 200]], [[100, 200]], true, 2],
    'two at one time, of which one is over' => [[[100, 150], [120, 200]], [[150, 190]], true, 2],
    'three run, never more than two at one time' => [[[0, 100], [50, 150], [100, 200]], [[0, 200]], true, 3],
    'a series of two days counts once' => [[[86_000, 86_500]], [[86_100, 86_450]], true, 2],
    'nearly three days' => [[[200_000, 200_100]], [[100_000, 280_000]], false],
]);

test('a series that is thought away is none, and neither is one that was taken off', function () {
    $on = new Occupancy();
    $on->put(seriesAt(1, [100, 200], [90_000, 90_100]), 1);
    $on->put(seriesAt(2, [300, 400]), 1);
    $asks = seriesAt(9, [150, 160]);
    expect($on->takes($asks, accountFor()))
        ->toBeFalse()
        ->and($on->takes($asks, accountFor(), but: 1))
        ->toBeTrue()
        ->and($on->takes($asks, accountFor(), but: 2))
        ->toBeFalse()
        ->and($on->takes($asks, accountFor(id: 2)))
        ->toBeTrue();
    $on->takeOff(1, 1);
    expect($on->takes($asks, accountFor()))
        ->toBeTrue()
        ->and($on->takes(seriesAt(9, [90_050, 90_060]), accountFor()))
        ->toBeTrue()
        ->and($on->takes(seriesAt(9, [350, 360]), accountFor()))
        ->toBeFalse();
    $on->takeOff(1, 7);
});

test('the first account that takes it, or one that is asked before', function () {
    $on = new Occupancy();
    $accounts = [accountFor(id: 4), accountFor(id: 5), accountFor(id: 6)];
    $on->put(seriesAt(1, [100, 200]), 4);
    $asks = seriesAt(9, [150, 160]);
    expect($on->room($asks, $accounts))
        ->toBe(5)
        ->and($on->roomFirstOn(6, $asks, $accounts))
        ->toBe(6)
        ->and($on->roomFirstOn(4, $asks, $accounts))
        ->toBe(5)
        ->and($on->roomFirstOn(null, $asks, $accounts))
        ->toBe(5)
        ->and($on->room($asks, []))
        ->toBeNull()
        ->and($on->room(new HostedSeries(9, [[150, 160]], 11), $accounts))
        ->toBeNull();
});

test('which series stand against one, where they are few', function () {
    $on = new Occupancy();
    foreach ([[0, 100], [50, 150], [86_000, 86_500], [300, 400], [86_000, 87_000]] as $n => $one) {
        $on->put(seriesAt($n + 1, $one), 1);
    }
    expect($on->against(seriesAt(9, [100, 120]), 1))
        ->toBe([2])
        ->and($on->against(seriesAt(9, [99, 120], [86_450, 86_460]), 1))
        // Four are many.
        ->toBe([])
        ->and($on->against(seriesAt(9, [120, 130], [86_450, 86_460]), 1))
        ->toBe([2, 3, 5])
        ->and($on->against(seriesAt(9, [99, 120], [350, 360]), 1))
        ->toBe([1, 2, 4])
        ->and($on->against(seriesAt(9, [150, 300]), 1))
        ->toBe([])
        ->and($on->against(seriesAt(9, [100, 120]), 2))
        ->toBe([]);
});

test('the bounds of a plan, and what it holds', function () {
    expect((new HostAccount(1, 'A', 1, 1, 1))->holds(new HostedSeries(1, [[0, 60]], 1)))
        ->toBeTrue()
        ->and((new HostAccount(1, 'A', 10, 45))->holds(new HostedSeries(1, [[0, 2700]], 10)))
        ->toBeTrue()
        ->and((new HostAccount(1, 'A', 10, 45))->holds(new HostedSeries(1, [[0, 2700]], 11)))
        ->toBeFalse()
        ->and((new HostAccount(1, 'A', 10, 45))->holds(new HostedSeries(1, [[0, 60], [100, 2860]], 1)))
        ->toBeFalse();
    foreach ([[0, 1, 1], [1, 0, 1], [1, 1, 0]] as [$seats, $minutes, $atOnce]) {
        expect(fn () => new HostAccount(1, 'A', $seats, $minutes, $atOnce))->toFault('at least one seat', 'seats');
    }
});
