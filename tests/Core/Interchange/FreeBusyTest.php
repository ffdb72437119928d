<?php

use Nomada\Core\Interchange\Calendar\FreeBusy;

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

test('times that touch or overlap are one, within the span', function (array $busy, array $are) {
    expect(FreeBusy::merged($busy, 10, 50))->toBe($are);
})->with([
    'none' => [[], []],
    'as they come' => [[[30, 40], [12, 20]], [[12, 20], [30, 40]]],
    'touching' => [[[12, 20], [20, 30]], [[12, 30]]],
    'a moment between' => [[[12, 20], [21, 30]], [[12, 20], [21, 30]]],
    'one within another' => [[[12, 40], [20, 30]], [[12, 40]]],
    'the same twice' => [[[12, 20], [12, 20]], [[12, 20]]],
    'over both ends' => [[[0, 60]], [[10, 50]]],
    'before and after' => [[[0, 10], [50, 60]], []],
    'nothing long' => [[[20, 20], [30, 29]], []],
    'three in a row, and one apart' => [[[12, 15], [14, 18], [18, 20], [25, 26]], [[12, 20], [25, 26]]],
]);
