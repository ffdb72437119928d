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
    'a moment between' => [[[12, 20], [21, 30]], [[12, 20], [21, 30]]],
    'the same twice' => [[[12, 20], [12, 20]], [[12, 20]]],
    'nothing long' => [[[20, 20], [30, 29]], []],
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

test('when somebody is busy, and nothing else of it', function () {
    $at = fn (string $time): int => (int) strtotime("2027-02-$time UTC");
    $busy = [[$at('09 11:00'), $at('09 12:00')], [$at('09 09:00'), $at('09 10:00')]];
    $text = FreeBusy::write('ines@school.example', $busy, $at('09 00:00'), $at('10 00:00'), $at('08 07:30:05'));
    $uid = hash('sha256', "ines@school.example {$at('09 00:00')} {$at('10 00:00')}");
    // Lines are folded after 75 bytes (RFC 5545, 3.1).
    expect(str_replace("\r\n ", '', $text))->toBe(
        implode("\r\n", [
            'BEGIN:VCALENDAR',
            'VERSION:2.0',
            'PRODID:'.Nomada\Core\Interchange\Calendar\CalendarWriter::PRODUCT,
            'BEGIN:VFREEBUSY',
            "UID:$uid",
            'DTSTAMP:20270208T073005Z',
            'DTSTART:20270209T000000Z',
            'DTEND:20270210T000000Z',
            'ATTENDEE:mailto:ines@school.example',
            'FREEBUSY;FBTYPE=BUSY:20270209T090000Z/20270209T100000Z',
            'FREEBUSY;FBTYPE=BUSY:20270209T110000Z/20270209T120000Z',
            'END:VFREEBUSY',
            'END:VCALENDAR',
            '',
        ]),
    );
});
