<?php

use Nomada\Core\Interchange\Calendar\ClosureReader;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Term\Zone;
use Tests\Support\English;

/** What a calendar of closed days is read as, on Madrid's clock. */
function closuresOf(string ...$events): array
{
    $text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n";
    foreach ($events as $event) {
        $text .= "BEGIN:VEVENT\r\n".str_replace("\n", "\r\n", $event)."\r\nEND:VEVENT\r\n";
    }

    return ClosureReader::read("{$text}END:VCALENDAR\r\n", 'c.ics', Zone::named('Europe/Madrid'));
}

test('a closed day, or several', function (string $event, array $is) {
    [$rows, $faults] = closuresOf($event);
    expect($faults)->toBe([])->and(array_values($rows[0]))->toBe($is);
})->with([
    'a day' => [
        "UID: a \nSUMMARY: Storm \nDTSTART;VALUE=DATE:20270302",
        ['a', '2027-03-02', '2027-03-02', 'Storm', null],
    ],
    'without an id, it is known by its day and reason' => [
        "SUMMARY:Storm\nDTSTART;VALUE=DATE:20270302",
        ['2027-03-02 Storm', '2027-03-02', '2027-03-02', 'Storm', null],
    ],
    'until the day before its end' => [
        "UID:a\nSUMMARY:Carnival\nDTSTART;VALUE=DATE:20270215\nDTEND;VALUE=DATE:20270218",
        ['a', '2027-02-15', '2027-02-17', 'Carnival', null],
    ],
    'for some days' => [
        "UID:a\nSUMMARY:Carnival\nDTSTART;VALUE=DATE:20270215\nDURATION:P3D",
        ['a', '2027-02-15', '2027-02-17', 'Carnival', null],
    ],
    'for no time' => [
        "UID:a\nSUMMARY:Carnival\nDTSTART;VALUE=DATE:20270215\nDURATION:PT0S",
        ['a', '2027-02-15', '2027-02-15', 'Carnival', null],
    ],
    'some hours of one' => [
        "UID:a\nSUMMARY:Drill\nDTSTART;TZID=Europe/Madrid:20270302T100000\nDTEND;TZID=Europe/Madrid:20270302T113000",
        ['a', '2027-03-02', '2027-03-02', 'Drill', '10:00–11:30'],
    ],
    'hours of another clock' => [
        "UID:a\nSUMMARY:Drill\nDTSTART:20270302T233000Z\nDURATION:PT45M",
        ['a', '2027-03-03', '2027-03-03', 'Drill', '00:30–01:15'],
    ],
    'hours, and no end' => [
        "UID:a\nSUMMARY:Drill\nDTSTART;TZID=Europe/Madrid:20270302T100000",
        ['a', '2027-03-02', '2027-03-02', 'Drill', '10:00–10:00'],
    ],
    'from midnight to midnight' => [
        "UID:a\nSUMMARY:Storm\nDTSTART;TZID=Europe/Madrid:20270302T000000\nDTEND;TZID=Europe/Madrid:20270304T000000",
        ['a', '2027-03-02', '2027-03-03', 'Storm', null],
    ],
]);

test('what is wrong with one is said by its line, and the others are read', function () {
    [$rows, $faults] = closuresOf(
        'SUMMARY:No day',
        "DTSTART;VALUE=DATE:20270302\nSUMMARY:  ",
        "DTSTART;VALUE=DATE:20270302\nSUMMARY:Weekly\nRRULE:FREQ=WEEKLY",
        "DTSTART;TZID=Nowhere/At_All:20270302T100000\nSUMMARY:Odd",
        "DTSTART;VALUE=DATE:20270304\nDTEND;VALUE=DATE:20270303\nSUMMARY:Backwards",
        "DTSTART;VALUE=DATE:20270305\nSUMMARY:Good",
    );
    $plain = array_map(fn (ImportFault $f): string => English::line($f), $faults);
    expect(array_column($rows, 'reason'))
        ->toBe(['Good'])
        ->and($plain[0])
        ->toBe('c.ics, line 3, column DTSTART: DTSTART is missing. Every closed day needs one.')
        ->and($plain[1])
        ->toBe('c.ics, line 6, column SUMMARY: SUMMARY is missing. Say there why the day is closed.')
        ->and($plain[2])
        ->toStartWith(
            'c.ics, line 10, column RRULE: Recurring closed days are not supported. List each one as an event.',
        )
        ->toContain('Found "FREQ=WEEKLY"')
        ->and($plain[3])
        ->toStartWith('c.ics, line 15, column DTSTART: This is not a date, or its time zone is unknown.')
        ->and($plain[4])
        ->toBe('c.ics, line 19, column DTEND: The end must be after DTSTART. Found "20270303".')
        ->and($plain)
        ->toHaveCount(5);
});

test('a file that is no calendar is one fault, where it is', function (string $text, int $line, string $found) {
    [$rows, $faults] = ClosureReader::read($text, 'c.ics', Zone::named('UTC'));
    expect([$rows, count($faults), $faults[0]->line, $faults[0]->column, $faults[0]->expected->says])
        ->toBe([[], 1, $line, '', 'calendar.file'])
        ->and($faults[0]->found)
        ->toContain($found);
})->with([
    ['hello', 1, 'BEGIN:VCALENDAR is missing'],
    ["BEGIN:VCALENDAR\nVERSION:2.0\n\n\n", 2, 'END:VCALENDAR is missing after line 2'],
    ["BEGIN:VCALENDAR\nBEGIN:VEVENT\nno property\nEND:VEVENT\nEND:VCALENDAR\n", 3, ''],
]);

test('a mark of its encoding in front of a file is none of it', function () {
    [$rows] = ClosureReader::read(
        "\xEF\xBB\xBFBEGIN:VCALENDAR\nBEGIN:VEVENT\nSUMMARY:Día\nDTSTART;VALUE=DATE:20270302\nEND:VEVENT\n".
            'END:VCALENDAR',
        'c.ics',
        Zone::named('UTC'),
    );
    expect($rows[0]['reason'])->toBe('Día');
});
