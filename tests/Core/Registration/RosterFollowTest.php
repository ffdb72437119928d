<?php

use Nomada\Core\Registration\RosterFollow;

test('joiners are registered, leavers lose their registration, the last day still counts', function () {
    $follow = RosterFollow::between(
        [1 => null, 2 => '2027-02-20', 3 => '2027-02-19', 4 => null],
        [1, 3, 9],
        '2027-02-20',
    );

    expect($follow->join)
        ->toBe([2, 4])
        ->and($follow->leave)
        ->toBe([3, 9]);
});

test('following twice changes nothing', function () {
    mt_srand(3);
    for ($i = 0; $i < 200; $i++) {
        $roster = [];
        foreach (range(1, 12) as $p) {
            mt_rand(0, 1) && ($roster[$p] = [null, '2027-02-10', '2027-03-01'][mt_rand(0, 2)]);
        }
        $registered = array_values(array_filter(range(1, 15), fn () => mt_rand(0, 1) === 1));
        $once = RosterFollow::between($roster, $registered, '2027-02-20');
        $then = array_values(array_diff([...$registered, ...$once->join], $once->leave));
        $twice = RosterFollow::between($roster, $then, '2027-02-20');
        sort($then);
        expect([$twice->join, $twice->leave])
            ->toBe([[], []])
            ->and($then)
            ->toBe(array_keys(array_filter($roster, fn ($e) => $e === null || $e >= '2027-02-20')));
    }
});
