<?php

use Nomada\Core\Interchange\Calendar\ServedEvent;
use Nomada\Core\Interchange\Calendar\ServedEvents;

/** @return list<string>|null events of 8 to 20 February 2027 in words, as a calendar of these serves them */
function servedOf(string ...$events): ?array
{
    $text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//T//T//EN\r\n";
    foreach ($events as $event) {
        $text .= "BEGIN:VEVENT\r\n".str_replace("\n", "\r\n", $event)."\r\nEND:VEVENT\r\n";
    }
    $at = fn (string $day): int => (new DateTimeImmutable("$day 00:00", new DateTimeZone('UTC')))->getTimestamp();
    $served = ServedEvents::of("{$text}END:VCALENDAR\r\n", $at('2027-02-08'), $at('2027-02-20'));

    return $served === null
        ? null
        : array_map(
            fn (ServedEvent $e): string => "$e->uid ".
                gmdate('j H:i', $e->start).
                '-'.
                gmdate('j H:i', $e->end).
                " $e->summary $e->link",
            $served,
        );
}

test('what a calendar serves of a span, event by event in the order of time', function (array $events, array $served) {
    expect(servedOf(...$events))->toBe($served);
})->with([
    'none' => [[], []],
    'with an end, an address and a summary' => [
        ["UID:a\nDTSTART:20270209T090000Z\nDTEND:20270209T094500Z\nSUMMARY:Tides\nURL:https://x.example/1"],
        ['a 9 09:00-9 09:45 Tides https://x.example/1'],
    ],
    'with a length, on a clock of its own' => [
        ["UID:a\nDTSTART;TZID=Europe/Madrid:20270209T100000\nDURATION:PT1H5M\nSUMMARY:Tides"],
        ['a 9 09:00-9 10:05 Tides '],
    ],
    'without either' => [["UID:a\nDTSTART:20270209T090000Z"], ['a 9 09:00-9 09:00  ']],
    'in the order of time, then of their ids' => [
        [
            "UID:c\nDTSTART:20270210T090000Z",
            "UID:b\nDTSTART:20270209T090000Z",
            "UID:z\nDTSTART:20270209T080000Z",
            "UID:a\nDTSTART:20270209T090000Z",
        ],
        ['z 9 08:00-9 08:00  ', 'a 9 09:00-9 09:00  ', 'b 9 09:00-9 09:00  ', 'c 10 09:00-10 09:00  '],
    ],
    'a series, without what is left out, moved or cancelled' => [
        [
            "UID:a\nDTSTART:20270202T090000Z\nDURATION:PT45M\nRRULE:FREQ=WEEKLY;BYDAY=TU,TH;COUNT=8\n".
            "EXDATE:20270211T090000Z\nSUMMARY:Tides",
            "UID:a\nRECURRENCE-ID:20270216T090000Z\nDTSTART:20270217T100000Z\nDTEND:20270217T110000Z\nSUMMARY:Moved",
            "UID:a\nRECURRENCE-ID:20270218T090000Z\nDTSTART:20270218T090000Z\nSTATUS:CANCELLED\nSUMMARY:Tides",
        ],
        ['a 9 09:00-9 09:45 Tides ', 'a 17 10:00-17 11:00 Moved '],
    ],
    'what is cancelled, and what comes after it' => [
        ["UID:a\nDTSTART:20270209T090000Z\nSTATUS:CANCELLED", "UID:b\nDTSTART:20270209T090000Z\nSTATUS:CONFIRMED"],
        ['b 9 09:00-9 09:00  '],
    ],
    'what begins before the span and reaches into it' => [
        ["UID:a\nDTSTART:20270207T230000Z\nDTEND:20270208T010000Z", "UID:b\nDTSTART:20270220T000000Z"],
        ['a 7 23:00-8 01:00  '],
    ],
]);

test('what is no calendar serves nothing that could be compared', function (string $text) {
    expect(ServedEvents::of($text, 0, 1))->toBeNull();
})->with(['', 'hello', "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Ana\r\nEND:VCARD\r\n", "BEGIN:VCALENDAR\r\nnot a line\r\n"]);
