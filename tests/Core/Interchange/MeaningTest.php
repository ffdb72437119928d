<?php

use Nomada\Core\Interchange\Calendar\Meaning;
use Nomada\Core\Interchange\Calendar\ServedEvents;

/** @param  list<string>  $lines of an event beside UID and DTSTART */
function icsOf(array $lines, string $zone = ''): string
{
    return implode("\r\n", [
        'BEGIN:VCALENDAR',
        'VERSION:2.0',
        'PRODID:-//x//EN',
        ...$zone === '' ? [] : [$zone],
        'BEGIN:VEVENT',
        'UID:a',
        'DTSTAMP:20270101T000000Z',
        ...$lines,
        'END:VEVENT',
        'END:VCALENDAR',
        '',
    ]);
}

const USUAL = [
    'DTSTART;TZID=Europe/Madrid:20270209T100000',
    'DTEND;TZID=Europe/Madrid:20270209T104500',
    'SUMMARY:Tides',
];

test('what a server may write otherwise means the same', function (array $lines) {
    expect(
        Meaning::isSame(
            icsOf([...USUAL, 'RRULE:FREQ=WEEKLY;BYDAY=TU;COUNT=3', 'EXDATE:20270216T090000Z']),
            icsOf($lines),
        ),
    )->toBeTrue();
})->with([
    'another order' => [
        [
            'SUMMARY:Tides',
            'EXDATE;TZID=Europe/Madrid:20270216T100000',
            'RRULE:COUNT=3;FREQ=WEEKLY;BYDAY=TU;INTERVAL=1',
            'DTEND;TZID=Europe/Madrid:20270209T104500',
            'DTSTART;TZID=Europe/Madrid:20270209T100000',
        ],
    ],
    'a duration, defaults, answers, an alarm' => [
        [
            'DTSTART;TZID=Europe/Madrid:20270209T100000',
            'DURATION:PT45M',
            'SUMMARY:Tides',
            'RRULE:FREQ=WEEKLY;BYDAY=TU;COUNT=3',
            'EXDATE:20270216T090000Z',
            'CLASS:PUBLIC',
            'TRANSP:OPAQUE',
            'SEQUENCE:7',
            'X-OWN:1',
            'LAST-MODIFIED:20270101T000000Z',
            'ORGANIZER:mailto:a@b.example',
            'ATTENDEE;PARTSTAT=ACCEPTED:mailto:c@b.example',
            'BEGIN:VALARM',
            'ACTION:DISPLAY',
            'TRIGGER:-PT5M',
            'END:VALARM',
        ],
    ],
]);

test('what a person would notice means something else', function (array $lines) {
    expect(Meaning::isSame(icsOf(USUAL), icsOf($lines)))->toBeFalse();
})->with([
    'a title' => [[USUAL[0], USUAL[1], 'SUMMARY:Boats']],
    'a start' => [['DTSTART;TZID=Europe/Madrid:20270209T100100', USUAL[1], USUAL[2]]],
    'an end' => [[USUAL[0], 'DTEND;TZID=Europe/Madrid:20270209T104600', USUAL[2]]],
    'a rule' => [[...USUAL, 'RRULE:FREQ=DAILY;COUNT=2']],
    'a date' => [[...USUAL, 'RDATE;TZID=Europe/Madrid:20270210T100000']],
    'a date less' => [[...USUAL, 'EXDATE;TZID=Europe/Madrid:20270209T100000']],
    'a link' => [[...USUAL, 'URL:https://x.example']],
    'a state' => [[...USUAL, 'STATUS:CANCELLED']],
    'a privacy' => [[...USUAL, 'CLASS:PRIVATE']],
]);

test('what is no calendar means nothing, not even the same as itself', function () {
    expect(Meaning::of('Hello'))->toBeNull()->and(Meaning::isSame('Hello', 'Hello'))->toBeFalse();
    expect(ServedEvents::of('Hello', 0, 1))->toBeNull();
});

test(
    'what a calendar shows of a span: rules expanded, cancelled ones left out, ends by end or duration',
    function () {
        $text = icsOf([
            'DTSTART:20270209T090000Z',
            'DURATION:PT45M',
            'SUMMARY:Tides',
            'URL:https://x.example',
            'RRULE:FREQ=DAILY;COUNT=5',
        ]);
        $at = fn (string $t): int => (int) strtotime($t);
        $events = ServedEvents::of($text, $at('2027-02-10T00:00:00Z'), $at('2027-02-12T09:00:00Z'));
        expect(array_map(fn ($e) => [$e->uid, $e->start, $e->end, $e->summary, $e->link], $events))->toBe([
            ['a', $at('2027-02-10T09:00:00Z'), $at('2027-02-10T09:45:00Z'), 'Tides', 'https://x.example'],
            ['a', $at('2027-02-11T09:00:00Z'), $at('2027-02-11T09:45:00Z'), 'Tides', 'https://x.example'],
        ]);
        $cancelled = icsOf(['DTSTART:20270209T090000Z', 'DTEND:20270209T094500Z', 'STATUS:CANCELLED']);
        expect(ServedEvents::of($cancelled, $at('2027-02-09'), $at('2027-02-10')))->toBe([]);
    },
);

test('what changes what an event means', function (array $lines) {
    expect(
        Meaning::isSame(icsOf([...USUAL, 'RRULE:FREQ=WEEKLY;BYDAY=TU', 'EXDATE:20270216T090000Z']), icsOf($lines)),
    )->toBeFalse();
})->with([
    'another excepted day' => [[...USUAL, 'RRULE:FREQ=WEEKLY;BYDAY=TU', 'EXDATE:20270223T090000Z']],
    'no excepted day' => [[...USUAL, 'RRULE:FREQ=WEEKLY;BYDAY=TU']],
    'an added one' => [
        [...USUAL, 'RRULE:FREQ=WEEKLY;BYDAY=TU', 'EXDATE:20270216T090000Z', 'RDATE:20270217T090000Z'],
    ],
    'added instead of excepted' => [[...USUAL, 'RRULE:FREQ=WEEKLY;BYDAY=TU', 'RDATE:20270216T090000Z']],
    'another weekday' => [[...USUAL, 'RRULE:FREQ=WEEKLY;BYDAY=WE', 'EXDATE:20270216T090000Z']],
    'every second week' => [[...USUAL, 'RRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=TU', 'EXDATE:20270216T090000Z']],
    'private' => [[...USUAL, 'RRULE:FREQ=WEEKLY;BYDAY=TU', 'EXDATE:20270216T090000Z', 'CLASS:PRIVATE']],
    'longer' => [
        [
            'DTSTART;TZID=Europe/Madrid:20270209T100000',
            'DURATION:PT46M',
            'SUMMARY:Tides',
            'RRULE:FREQ=WEEKLY;BYDAY=TU',
            'EXDATE:20270216T090000Z',
        ],
    ],
    'without an end' => [
        [
            'DTSTART;TZID=Europe/Madrid:20270209T100000',
            'SUMMARY:Tides',
            'RRULE:FREQ=WEEKLY;BYDAY=TU',
            'EXDATE:20270216T090000Z',
        ],
    ],
]);

test('days, lists in any order, and rules in any case mean the same', function (array $one, array $other) {
    expect(Meaning::isSame(icsOf($one), icsOf($other)))->toBeTrue();
})->with([
    'excepted days one by one' => [
        [...USUAL, 'EXDATE:20270216T090000Z,20270223T090000Z'],
        [...USUAL, 'EXDATE:20270223T090000Z', 'EXDATE;TZID=Europe/Madrid:20270216T100000'],
    ],
    'whole days' => [
        ['DTSTART;VALUE=DATE:20270209', 'SUMMARY:Feast', 'EXDATE;VALUE=DATE:20270210,20270211'],
        ['SUMMARY:Feast', 'DTSTART;VALUE=DATE:20270209', 'EXDATE;VALUE=DATE:20270211,20270210'],
    ],
    'a rule' => [[...USUAL, 'RRULE:FREQ=WEEKLY;WKST=MO;BYDAY=TU'], [...USUAL, 'RRULE:byday=tu;freq=weekly']],
]);

test('of several events the order says nothing, and their number does', function () {
    $two = fn (string $a, string $b): string => str_replace(
        "END:VCALENDAR\r\n",
        '',
        icsOf([...USUAL, "COMMENT:$a"]),
    ).substr(icsOf([...USUAL, "COMMENT:$b"]), strlen("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//EN\r\n"));
    expect(Meaning::isSame($two('1', '2'), $two('2', '1')))
        ->toBeTrue()
        ->and(Meaning::isSame($two('1', '2'), $two('1', '1')))
        ->toBeFalse()
        ->and(Meaning::isSame($two('1', '2'), icsOf([...USUAL, 'COMMENT:1'])))
        ->toBeFalse()
        ->and(Meaning::isSame('hello', 'hello'))
        ->toBeFalse()
        ->and(Meaning::of('BEGIN:VCARD\r\nVERSION:4.0\r\nFN:x\r\nEND:VCARD\r\n'))
        ->toBeNull();
});
