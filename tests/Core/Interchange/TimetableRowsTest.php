<?php

use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\SchoolReader;
use Tests\Support\English;
use Tests\Support\SmallSchool;

const TABLE_HEAD = "class_sourced_id,title,dtstart,minutes,tzid,rrule\n";

/** @return array{list<string>, list<string>, list<string>} series in words, faults, and what is likely a slip */
function timetable(string $rows): array
{
    $data = SchoolReader::read(SmallSchool::files(['timetable.csv' => TABLE_HEAD."$rows\n"]));
    $line = fn (ImportFault $f): string => "$f->line $f->column {$f->expected->says}".
        ($f->expected->with === [] ? '' : ' '.json_encode($f->expected->with));
    $series = array_map(
        fn (array $s): string => "{$s['section']} {$s['title']}: ".
            English::said($s['plan']->said()).
            " {$s['plan']->zone->name}, {$s['plan']->from->iso()}, ".
            json_encode($s['plan']->end->toArray()),
        (array) $data->series,
    );

    return [$series, array_map($line, $data->faults), array_map($line, $data->warnings)];
}

test('a row of a timetable is a series, with what is likely a slip beside it', function (
    string $row,
    string $series,
    array $slips = [],
) {
    expect(timetable($row))->toBe([[$series], [], $slips]);
})->with([
    'one session' => [
        'MAR,Trip,2027-02-09T10:00,45,,',
        'MAR Trip: Tue 9 Feb 10:00–10:45 Europe/Madrid, 2027-02-09, {"kind":"counted","n":1}',
    ],
    'another way to write the moment' => [
        'MAR,Trip,20270209 0959,1,Atlantic/Canary,FREQ=DAILY;COUNT=1',
        'MAR Trip: Every day 09:59–10:00 Atlantic/Canary, 2027-02-09, {"kind":"counted","n":1}',
    ],
    'seconds that are none' => [
        'MAR,Trip,20270209T235900,45,,',
        'MAR Trip: Tue 9 Feb 23:59–00:44 Europe/Madrid, 2027-02-09, {"kind":"counted","n":1}',
        ['2 dtstart time.late {"time":"23:59"}'],
    ],
    'the earliest and the longest' => [
        'MAR,Trip,2027-02-09T00:00,720,,',
        'MAR Trip: Tue 9 Feb 00:00–12:00 Europe/Madrid, 2027-02-09, {"kind":"counted","n":1}',
        ['2 dtstart time.early {"time":"00:00"}'],
    ],
    'without an end' => [
        'MAR,Tides,2027-02-09T07:00,45,,FREQ=WEEKLY;BYDAY=TU',
        'MAR Tides: Tue 07:00–07:45 Europe/Madrid, 2027-02-09, {"kind":"term"}',
        ['2 rrule table.endless'],
    ],
    'a count that goes beyond the term' => [
        'MAR,Tides,2027-04-13T10:00,45,,FREQ=WEEKLY;COUNT=4',
        'MAR Tides: Tue 10:00–10:45 Europe/Madrid, 2027-04-13, {"kind":"counted","n":4}',
        ['2 rrule table.outside {"n":2}'],
    ],
    'until a day' => [
        'MAR,Tides,2027-02-09T10:00,45,,FREQ=WEEKLY;UNTIL=20270302',
        'MAR Tides: Tue 10:00–10:45 Europe/Madrid, 2027-02-09, {"kind":"date","date":"2027-03-02"}',
    ],
    'until the moment of the last start' => [
        'MAR,Tides,2027-02-09T10:00,45,,FREQ=WEEKLY;UNTIL=20270302T090000Z',
        'MAR Tides: Tue 10:00–10:45 Europe/Madrid, 2027-02-09, {"kind":"date","date":"2027-03-02"}',
    ],
    'until a second before it' => [
        'MAR,Tides,2027-02-09T10:00,45,,FREQ=WEEKLY;UNTIL=20270302T085959Z',
        'MAR Tides: Tue 10:00–10:45 Europe/Madrid, 2027-02-09, {"kind":"date","date":"2027-03-01"}',
    ],
    'a first day that is none of the pattern' => [
        'MAR,Tides,2027-02-09T10:00,45,,FREQ=WEEKLY;BYDAY=TH;COUNT=2',
        'MAR Tides: Thu 10:00–10:45 Europe/Madrid, 2027-02-09, {"kind":"counted","n":2}',
        ['2 dtstart table.first {"day":"2027-02-11"}'],
    ],
]);

test('what is wrong with a row is told of its column, and the next row is read', function () {
    [$series, $faults] = timetable(implode("\n", [
        'NONE,A,2027-02-09T10:00,45,Marisma,FREQ=DAILY;COUNT=1',
        'MAR,B,2027-02-09T24:00,0,,',
        'MAR,C,2027-02-09T10:60,721,,',
        'MAR,D,2027-02-30T10:00,1000,,',
        'MAR,E,x2027-02-09T10:00,x,,FREQ=NEVER',
        'MAR,F,2027-02-09T10:00,45,,FREQ=WEEKLY;UNTIL=20270101',
        'MAR,Tides,2027-02-09T10:00,45,,',
        'MAR,tides,2027-02-10T10:00,45,,',
        'SPA,Tides,2027-02-10T10:00,45,,',
        'MAR,SPA Tides,2027-02-11T10:00,45,,',
    ]));
    expect($faults)
        ->toBe([
            '2 class_sourced_id roster.reference {"file":"classes.csv"}',
            '2 tzid roster.zone',
            '3 dtstart table.start',
            '3 minutes table.minutes {"n":720}',
            '4 dtstart table.start',
            '4 minutes table.minutes {"n":720}',
            '5 dtstart date.none_such {"date":"2027-02-30"}',
            '5 minutes table.minutes {"n":720}',
            '6 dtstart table.start',
            '6 minutes table.minutes {"n":720}',
            '6 rrule rule.freq_unknown {"freq":"NEVER"}',
            '7 rrule series.backwards {"date":{"day":20819},"from":{"day":20858}}',
            '9 title table.title {"line":8}',
        ])
        ->and(array_map(fn (string $s): string => strtok($s, ':'), $series))
        ->toBe(['MAR Tides', 'SPA Tides', 'MAR SPA Tides']);
});
