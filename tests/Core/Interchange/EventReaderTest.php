<?php

use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Interchange\Calendar\EventReader;
use Nomada\Core\Interchange\Calendar\EventSeries;
use Nomada\Core\Interchange\Calendar\ReadEvent;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\OpenDaysPattern;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesEnd;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\WeeklyPattern;
use Tests\Core\Scenario;
use Tests\Support\English;

function ics(string $events): string
{
    return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//T//T//EN\r\n".
        str_replace("\n", "\r\n", trim($events)).
        "\r\nEND:VCALENDAR\r\n";
}

function vevent(string $lines, string $uid = 'u1'): string
{
    return "BEGIN:VEVENT\nUID:$uid\nDTSTAMP:20261201T080000Z\n".trim($lines)."\nEND:VEVENT\n";
}

/** @return array{list<ReadEvent>, list<Nomada\Core\Interchange\ImportFault>} */
function readIcs(string $events): array
{
    return EventReader::read(ics($events), 't.ics', Scenario::term());
}

test('a weekly class becomes a plan, its left-out date is cancelled, and closed days are lost', function () {
    [$events, $faults] = readIcs(
        vevent(
            "SUMMARY:Marine Science\nCATEGORIES:8MAR\nDTSTART;TZID=Europe/Madrid:20270112T100000\n".
                "DTEND;TZID=Europe/Madrid:20270112T104700\nRRULE:FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=20270423T215959Z\n".
                'EXDATE;TZID=Europe/Madrid:20270218T100000',
        ),
    );
    $laid = $events[0]->over(Scenario::term());
    $of = fn (SessionState $state): array => Scenario::dates($laid, $state);

    expect($faults)
        ->toBe([])
        ->and(English::said($events[0]->plan?->said()))
        ->toBe('Tue Thu 10:00–10:47')
        ->and($events[0]->names('8mar'))
        ->toBeTrue()
        ->and($events[0]->names('8MA'))
        ->toBeFalse()
        ->and($of(SessionState::Planned))
        ->toHaveCount(24)
        ->and($of(SessionState::Cancelled))
        ->toBe(['2027-02-18'])
        ->and($of(SessionState::Lost))
        ->toHaveCount(5);
});

test('RDATE, an override and a cancelled override are read', function () {
    [$events] = readIcs(
        vevent(
            "SUMMARY:X\nDTSTART;TZID=Europe/Madrid:20270301T100000\nDURATION:PT45M\nRRULE:FREQ=WEEKLY;COUNT=3\n".
                'RDATE;TZID=Europe/Madrid:20270303T150000',
        ).
            vevent(
                "RECURRENCE-ID;TZID=Europe/Madrid:20270308T100000\nDTSTART;TZID=Europe/Madrid:20270309T110000\n".
                    'DTEND;TZID=Europe/Madrid:20270309T120000',
            ).
            vevent(
                "RECURRENCE-ID;TZID=Europe/Madrid:20270315T100000\nSTATUS:CANCELLED\n".
                    "DTSTART;TZID=Europe/Madrid:20270315T100000\nDTEND;TZID=Europe/Madrid:20270315T104500",
            ),
    );
    $zone = Scenario::term()->zone;

    expect(
        array_map(
            fn (PlannedSession $s): string => $zone->dateAt($s->start)->short().
                ' '.
                $zone->clock($s->start).
                '–'.
                $zone->clock($s->end).
                ($s->isExtra() ? ' extra' : '').
                ($s->isMoved() ? ' moved' : ''),
            $events[0]->sessions,
        ),
    )->toBe(['Mon 1 Mar 10:00–10:45', 'Wed 3 Mar 15:00–15:45 extra', 'Tue 9 Mar 11:00–12:00 moved']);
});

test('what is unusual is said, and read as far as it can be', function (
    string $lines,
    string $warning,
    int $sessions,
) {
    [$events, $faults] = readIcs(vevent("SUMMARY:X\n$lines"));

    expect($faults)
        ->toBe([])
        ->and(implode(' ', array_map(English::of(...), $events[0]->warnings)))
        ->toContain($warning)
        ->and($events[0]->sessions)
        ->toHaveCount($sessions);
})->with([
    'no time zone' => [
        "DTSTART:20270301T100000\nDTEND:20270301T104500",
        'no time zone and is read on Madrid time',
        1,
    ],
    'never ends' => [
        "DTSTART;TZID=Europe/Madrid:20270412T100000\nDTEND;TZID=Europe/Madrid:20270412T104500\nRRULE:FREQ=DAILY",
        'The recurrence never ends; here it ends with the term.',
        12,
    ],
    'a rule of another kind' => [
        "DTSTART;TZID=Europe/Madrid:20270301T100000\nDTEND;TZID=Europe/Madrid:20270301T104500\n".
        'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=MO;COUNT=8',
        'The rule FREQ=YEARLY;BYMONTH=3;BYDAY=MO;COUNT=8 has no counterpart in a timetable; its',
        5,
    ],
    'before the term' => [
        "DTSTART;TZID=Europe/Madrid:20270301T100000\nDTEND;TZID=Europe/Madrid:20270301T104500\n".
        'RDATE;TZID=Europe/Madrid:20270601T100000',
        'outside the term',
        1,
    ],
]);

test('what cannot be read is a fault with its line', function (string $text, int $line, string $words) {
    [$events, $faults] = EventReader::read($text, 't.ics', Scenario::term());

    expect($events)
        ->toBe([])
        ->and($faults[0]->line)
        ->toBe($line)
        ->and(English::of($faults[0]->expected).' '.$faults[0]->found)
        ->toContain($words);
})->with([
    'no calendar' => ['hello', 1, 'iCalendar file'],
    'a broken line' => [fn () => ics("BEGIN:VEVENT\nUID:a\nthis is no property\nEND:VEVENT"), 6, 'iCalendar file'],
    'an unknown zone' => [
        fn () => ics(
            vevent("SUMMARY:X\nDTSTART;TZID=Mars/Olympus:20270301T100000\nDTEND;TZID=Mars/Olympus:20270301T104500"),
        ),
        4,
        '"Mars/Olympus" is not an IANA time zone. Use one like Europe/Madrid.',
    ],
    'an end before the start' => [
        fn () => ics(vevent("SUMMARY:X\nDTSTART:20270301T100000Z\nDTEND:20270301T094500Z")),
        4,
        'The event ends before it starts.',
    ],
    'no end' => [fn () => ics(vevent("SUMMARY:X\nDTSTART:20270301T100000Z")), 4, 'DTEND and DURATION are missing.'],
    'a hundred thousand events' => [
        fn () => ics(str_repeat(vevent('SUMMARY:X'), 100_000)),
        1,
        'The file has more than 20,000 events. Export one term, or one teacher, at a time. 100000',
    ],
]);

test(
    'a round trip through our own writer and reader loses nothing, over random series with exceptions',
    function () {
        mt_srand(5501);
        $term = Scenario::term();
        for ($round = 0; $round < Scenario::rounds(120); $round++) {
            $pattern = match (mt_rand(0, 3)) {
                0 => new OpenDaysPattern(),
                1 => new DatesPattern(
                    array_map(fn (): int => $term->first->day + mt_rand(0, 100), range(1, mt_rand(1, 9))),
                ),
                default => new WeeklyPattern(
                    array_map(fn (): int => mt_rand(1, 5), range(1, mt_rand(1, 3))),
                    mt_rand(1, 3),
                ),
            };
            $zone = Zone::named(['Europe/Madrid', 'Africa/Casablanca', 'Atlantic/Azores'][mt_rand(0, 2)]);
            $plan = new SeriesPlan(
                $pattern,
                LocalDate::parse('2027-01-11')->plus(mt_rand(0, 20)),
                SeriesEnd::withTerm(),
                mt_rand(420, 1200),
                mt_rand(20, 90),
                $zone,
            );
            $sessions = [];
            foreach (
                array_filter(
                    $plan->sessions($term),
                    fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
                ) as $s
            ) {
                $sessions[] = match (mt_rand(0, 9)) {
                    0 => null,
                    1 => new PlannedSession(
                        $s->day,
                        $s->start + 60 * mt_rand(1, 90),
                        $s->end + 60 * mt_rand(95, 120),
                        SessionState::Planned,
                        null,
                        new SessionOverrides($s->day),
                    ),
                    default => $s,
                };
            }
            $sessions = array_values(array_filter($sessions));
            if (mt_rand(0, 2) === 0) {
                $day = $term->openDays()[mt_rand(0, 40)];
                $at = $zone->instant($day, 1260);
                $sessions[] = ReadEvent::extra($day, $at, $at + 60 * mt_rand(20, 90));
            }
            if ($sessions === []) {
                continue;
            }
            usort($sessions, fn (PlannedSession $a, PlannedSession $b): int => $a->start <=> $b->start);
            $text = CalendarWriter::write([
                new EventSeries(
                    "uid-$round",
                    3,
                    1_800_000_000,
                    'Y8 Marine Science',
                    '',
                    '',
                    $zone,
                    $plan->startMinute,
                    $plan->minutes,
                    $pattern->rule(),
                    $sessions,
                    '8MAR',
                ),
            ]);
            [$events, $faults] = EventReader::read($text, 't.ics', $term);
            $spans = fn (array $list): array => array_map(
                fn (PlannedSession $s): array => [$s->start, $s->end],
                $list,
            );

            expect($faults)
                ->toBe([])
                ->and($events)
                ->toHaveCount(1)
                ->and($spans($events[0]->sessions))
                ->toBe($spans($sessions));
            $laid = array_values(
                array_filter(
                    $events[0]->over($term),
                    fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
                ),
            );
            expect($spans($laid))->toBe($spans($sessions));
        }
    },
);

test('whole days block the day, and are no class', function () {
    [$events] = readIcs(vevent("SUMMARY:Away\nDTSTART;VALUE=DATE:20270301\nDTEND;VALUE=DATE:20270303"));

    expect($events[0]->plan)
        ->toBeNull()
        ->and(array_map(fn (array $s): int => $s[1] - $s[0], $events[0]->spans()))
        ->toBe([86400, 86400]);
});

test('a calendar that was cut off is said to be, at its last line', function () {
    $whole = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART:20270301T100000Z\r\n";
    [$events, $faults] = EventReader::read($whole, 'a.ics', Scenario::term());

    expect($events)
        ->toBe([])
        ->and($faults)
        ->toHaveCount(1)
        ->and($faults[0]->line)
        ->toBe(5)
        ->and($faults[0]->found)
        ->toContain('cut off');
});

test('of what is wrong with single events each is said by itself, and the others are read', function () {
    $at = fn (string $day, string $time = '100000'): string => "DTSTART;TZID=Europe/Madrid:{$day}T$time\n".
        "DTEND;TZID=Europe/Madrid:{$day}T".
        sprintf('%06d', (int) $time + 4500);
    $weekly = $at('20270112')."\nRRULE:FREQ=WEEKLY;COUNT=3";
    [$events, $faults] = readIcs(
        vevent("SUMMARY:  Spaces \nCATEGORIES:8MAR,8HIS\n$weekly", ' a ').
            vevent("SUMMARY:Twice\n".$at('20270113'), 'a').
            vevent('SUMMARY:None at all', 'b').
            vevent("SUMMARY:Off\nSTATUS:cancelled\n".$at('20270113'), 'c').
            vevent("RECURRENCE-ID;TZID=Europe/Madrid:20270119T100000\n".$at('20270120', '120000'), 'a').
            vevent("RECURRENCE-ID;TZID=Europe/Madrid:20270121T100000\n".$at('20270121', '120000'), 'a').
            vevent("STATUS:Cancelled\nRECURRENCE-ID;TZID=Europe/Madrid:20270126T100000\n".$at('20270126'), 'a').
            vevent("RECURRENCE-ID;TZID=Europe/Madrid:20270119T100000\n".$at('20270120'), 'nobody').
            vevent("SUMMARY:Last\n".$at('20270114'), 'd'),
    );
    expect(array_map(fn ($f): string => ($f->warning ? 'warning ' : '').English::line($f), $faults))->toBe([
        't.ics, line 13, column UID: Two events have the same UID, or one has none. Give each its own. Found "a".',
        'warning t.ics, line 40, column RECURRENCE-ID: This changes a date that its event does not have; it is left '
            .'out. Found "20270121T100000".',
        't.ics, line 20, column DTSTART: DTSTART is missing. Add the start of the event.',
        'warning t.ics, line 55, column RECURRENCE-ID: The event that this one changes is not in the file; it is left '
            .'out. '.
        'Found "nobody".',
    ]);
    $said = array_map(
        fn (ReadEvent $e): string => "$e->uid|$e->summary|".
            implode(',', $e->categories).
            "|$e->line|".
            implode(
                ' ',
                array_map(
                    fn (PlannedSession $s): string => gmdate('md H:i', $s->start).'-'.gmdate('H:i', $s->end),
                    array_values($e->sessions),
                ),
            ),
        $events,
    );
    expect($said)->toBe(['a|Spaces|8MAR,8HIS|4|0112 09:00-09:45 0120 11:00-11:45', 'd|Last||62|0114 09:00-09:45']);
});

test('an event that ends at a moment of the last day counts that day only where it begins before it', function (
    string $until,
    string $last,
) {
    [$events] = readIcs(
        vevent(
            "SUMMARY:X\nDTSTART;TZID=Europe/Madrid:20270112T100000\nDTEND;TZID=Europe/Madrid:20270112T104500\n".
                "RRULE:FREQ=WEEKLY;BYDAY=TU;UNTIL=$until",
        ),
    );
    $days = array_map(fn (PlannedSession $s): string => (new LocalDate($s->day))->iso(), $events[0]->sessions);
    expect(end($days))->toBe($last);
})->with([['20270126T090000Z', '2027-01-26'], ['20270126T085959Z', '2027-01-19'], ['20270126', '2027-01-26']]);

/** @return list<string> the sessions of the first event that is read, on Madrid's clock */
function sessionsRead(string ...$events): array
{
    $zone = Scenario::term()->zone;
    [$read, $faults] = readIcs(implode('', array_map(vevent(...), $events)));
    expect($faults)->toBe([]);

    return array_map(
        fn (PlannedSession $s): string => $zone->dateAt($s->start)->dayMonth().
            ' '.
            $zone->clock($s->start).
            '–'.
            $zone->clock($s->end).
            ($s->isExtra() ? ' extra' : '').
            ($s->isMoved() ? ' moved' : '').
            ($s->own !== null && ! $s->isExtra() && ! $s->isMoved() ? ' own' : ''),
        $read[0]->sessions,
    );
}

const WEEKLY =
    "SUMMARY:X\nDTSTART;TZID=Europe/Madrid:20270301T103700\nDTEND;TZID=Europe/Madrid:20270301T112200\n".
    'RRULE:FREQ=WEEKLY;COUNT=3';

test('dates are left out and added, however they are written', function (string $line, array $sessions) {
    expect(sessionsRead(WEEKLY."\n$line"))->toBe($sessions);
})->with([
    'none' => ['X-A:1', ['1 Mar 10:37–11:22', '8 Mar 10:37–11:22', '15 Mar 10:37–11:22']],
    'left out by its own clock' => [
        'EXDATE;TZID=Europe/Madrid:20270308T103700',
        ['1 Mar 10:37–11:22', '15 Mar 10:37–11:22'],
    ],
    'left out in UTC' => ['EXDATE:20270308T093700Z', ['1 Mar 10:37–11:22', '15 Mar 10:37–11:22']],
    'left out by another clock' => [
        'EXDATE;TZID=America/New_York:20270308T043700',
        ['1 Mar 10:37–11:22', '15 Mar 10:37–11:22'],
    ],
    'left out without a clock' => ['EXDATE:20270308T103700', ['1 Mar 10:37–11:22', '15 Mar 10:37–11:22']],
    'left out as a day' => ['EXDATE;VALUE=DATE:20270308', ['1 Mar 10:37–11:22', '15 Mar 10:37–11:22']],
    'at another minute nothing is left out' => [
        'EXDATE:20270308T093800Z',
        ['1 Mar 10:37–11:22', '8 Mar 10:37–11:22', '15 Mar 10:37–11:22'],
    ],
    'two in one line' => ['EXDATE:20270301T093700Z,20270308T093700Z', ['15 Mar 10:37–11:22']],
    'added in UTC' => [
        'RDATE:20270303T130500Z',
        ['1 Mar 10:37–11:22', '3 Mar 14:05–14:50 extra', '8 Mar 10:37–11:22', '15 Mar 10:37–11:22'],
    ],
]);

test('single dates are changed by events of their own', function (string $override, array $sessions) {
    expect(sessionsRead(WEEKLY, $override))->toBe($sessions);
})->with([
    'not at all' => [
        "RECURRENCE-ID:20270308T093700Z\nDTSTART:20270308T093700Z\nDTEND:20270308T102200Z",
        ['1 Mar 10:37–11:22', '8 Mar 10:37–11:22', '15 Mar 10:37–11:22'],
    ],
    'later' => [
        "RECURRENCE-ID:20270308T093700Z\nDTSTART:20270308T094000Z\nDTEND:20270308T102500Z",
        ['1 Mar 10:37–11:22', '8 Mar 10:40–11:25 moved', '15 Mar 10:37–11:22'],
    ],
    'longer' => [
        "RECURRENCE-ID:20270308T093700Z\nDTSTART:20270308T093700Z\nDTEND:20270308T103700Z",
        ['1 Mar 10:37–11:22', '8 Mar 10:37–11:37 moved', '15 Mar 10:37–11:22'],
    ],
    'cancelled, in small letters' => [
        "RECURRENCE-ID:20270308T093700Z\nSTATUS:cancelled\nDTSTART:20270308T093700Z\nDTEND:20270308T102200Z",
        ['1 Mar 10:37–11:22', '15 Mar 10:37–11:22'],
    ],
    'out of the term' => [
        "RECURRENCE-ID:20270308T093700Z\nDTSTART:20280308T093700Z\nDTEND:20280308T102200Z",
        ['1 Mar 10:37–11:22', '15 Mar 10:37–11:22'],
    ],
]);

test('an event of listed dates is a series of those dates, each at its own time where it has one', function () {
    expect(
        sessionsRead(
            "SUMMARY:X\nDTSTART;TZID=Europe/Madrid:20270301T100000\nDURATION:PT45M\n".
                'RDATE;TZID=Europe/Madrid:20270305T100000,20270303T150000,20270303T160000',
        ),
    )->toBe(['1 Mar 10:00–10:45', '3 Mar 15:00–15:45 moved', '3 Mar 16:00–16:45 extra', '5 Mar 10:00–10:45']);
});

test('what a date of a rule that is listed goes to the term\'s last day', function () {
    $yearly = "SUMMARY:X\nDTSTART;TZID=Europe/Madrid:20260423T100000\nDURATION:PT45M\nRRULE:FREQ=YEARLY;COUNT=4";
    expect(sessionsRead($yearly))->toBe(['23 Apr 10:00–10:45']);
    expect(sessionsRead(str_replace('0423', '0111', $yearly)))->toBe(['11 Jan 10:00–10:45']);
});

test('an event names a code where it stands as a word of its own', function (
    string $summary,
    string $categories,
    string $code,
    bool $names,
) {
    $event = new ReadEvent('u', $summary, $categories === '' ? [] : explode(',', $categories), 1, null, []);
    expect($event->names($code))->toBe($names);
})->with([
    ['Y8 Marine 8MAR', '', '8MAR', true],
    ['8mar: tides', '', ' 8MAR ', true],
    ['(8MAR)', '', '8MAR', true],
    ['18MAR', '', '8MAR', false],
    ['8MARI', '', '8MAR', false],
    ['8MAR-B', '', '8MAR', false],
    ['A-8MAR', '', '8MAR', false],
    ['a.b', '', 'a.b', true],
    ['axb', '', 'a.b', false],
    ['Tides', 'x, 8mar ', '8MAR', true],
    ['Tides', '8MAR-B', '8MAR', false],
    ['Tides', '', '', false],
]);
