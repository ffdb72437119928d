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
