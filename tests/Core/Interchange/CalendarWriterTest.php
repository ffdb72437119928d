<?php

use Nomada\Core\Interchange\Calendar\CalendarWriter;
use Nomada\Core\Interchange\Calendar\EventSeries;
use Nomada\Core\Interchange\Calendar\Quietly;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\OpenDaysPattern;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\RecurrenceRule;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\WeeklyPattern;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\Core\Scenario;

/** @param  list<PlannedSession>|null  $sessions */
function calendarOf(SeriesPlan $plan, ?array $sessions = null): string
{
    $sessions ??= array_values(
        array_filter(
            $plan->sessions(Scenario::term()),
            fn (PlannedSession $s): bool => $s->state === SessionState::Planned,
        ),
    );

    return CalendarWriter::write(
        [
            new EventSeries(
                'uid-1',
                3,
                1_800_000_000,
                'Y8 Marine Science; with, marks',
                "Join: https://x.example/join/abc\nJoin code: X",
                'https://x.example/join/abc',
                $plan->zone,
                $plan->startMinute,
                $plan->minutes,
                $plan->pattern->rule(),
                $sessions,
            ),
        ],
        'A calendar',
        'PT1H',
    );
}

/** @return list<string> start and end of every instance that a calendar program would show */
function shown(string $ics): array
{
    return Quietly::do(function () use ($ics): array {
        $calendar = Reader::read($ics);
        assert($calendar instanceof VCalendar);
        $out = [];
        foreach (
            $calendar
                ->expand(new DateTimeImmutable('2026-01-01'), new DateTimeImmutable('2029-01-01'))
                ->select('VEVENT') as $event
        ) {
            $out[] =
                $event->DTSTART->getDateTime()->getTimestamp().'-'.$event->DTEND->getDateTime()->getTimestamp();
        }
        sort($out);

        return $out;
    });
}

function instants(array $sessions): array
{
    $out = array_map(
        fn (PlannedSession $s): string => "$s->start-$s->end",
        array_values(array_filter($sessions, fn (PlannedSession $s): bool => $s->state === SessionState::Planned)),
    );
    sort($out);

    return $out;
}

test('read back by sabre/vobject, a calendar shows exactly the planned sessions', function (SeriesPlan $plan) {
    expect(shown(calendarOf($plan)))->toBe(instants($plan->sessions(Scenario::term())));
})->with([
    'two days a week' => [Scenario::plan([2, 4], '2027-01-12', minutes: 47)],
    'every second week' => [Scenario::plan(new WeeklyPattern([3], 2), '2027-01-13')],
    'every school day' => [Scenario::plan(new OpenDaysPattern())],
    'begins on a closed day' => [Scenario::plan([1, 2], '2027-02-15')],
    'in Casablanca' => [Scenario::plan([1, 3], '2027-02-01', zone: 'Africa/Casablanca')],
    'monthly' => [
        Scenario::plan(
            Patterns::fromRule(
                RecurrenceRule::parse('FREQ=MONTHLY;BYDAY=1WE', Zone::named('UTC')),
                LocalDate::parse('2027-01-11'),
            ),
        ),
    ],
    'the fifteenth' => [
        Scenario::plan(
            Patterns::fromRule(
                RecurrenceRule::parse('FREQ=MONTHLY;BYMONTHDAY=15,-1', Zone::named('UTC')),
                LocalDate::parse('2027-01-11'),
            ),
        ),
    ],
    'one only' => [Scenario::plan([5], '2027-04-23')],
]);

test('random sessions, moved and dropped as they may be, are shown exactly', function () {
    mt_srand(99);
    for ($round = 0; $round < Scenario::rounds(60); $round++) {
        $plan = Scenario::plan(
            new WeeklyPattern([mt_rand(1, 3), mt_rand(4, 5)], mt_rand(1, 2)),
            '2027-01-11',
            minute: mt_rand(480, 900),
            minutes: mt_rand(30, 90),
        );
        $sessions = [];
        foreach ($plan->sessions(Scenario::term()) as $s) {
            $by = mt_rand(0, 9) === 0 ? mt_rand(-60, 60) * 60 : 0;
            if ($s->state === SessionState::Planned && mt_rand(0, 7) > 0) {
                $sessions[] = new PlannedSession($s->day, $s->start + $by, $s->end + $by + ($by === 0 ? 0 : 300));
            }
        }
        $spare = LocalDate::parse('2027-04-24')->day;
        $sessions[] = new PlannedSession(
            $spare,
            $plan->zone->instant($spare, $plan->startMinute),
            $plan->zone->instant($spare, $plan->startMinute + $plan->minutes),
        );
        expect(shown(calendarOf($plan, $sessions)))->toBe(instants($sessions), "round $round");
    }
});

test('the text is what RFC 5545 asks for', function () {
    $ics = calendarOf(Scenario::plan([2, 4], '2027-01-12', minutes: 47));

    expect($ics)
        ->toContain("RRULE:FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=20270422T080000Z\r\n")
        ->toContain('EXDATE;TZID=Europe/Madrid:20270216T100000')
        ->toContain("SEQUENCE:3\r\n")
        ->toContain("UID:uid-1\r\n")
        ->toContain("DTSTART;TZID=Europe/Madrid:20270112T100000\r\n")
        ->toContain('BEGIN:VTIMEZONE')
        ->toContain("TZOFFSETTO:+0200\r\n")
        ->toContain('SUMMARY:Y8 Marine Science\; with\, marks')
        ->toContain("NAME:A calendar\r\n")
        ->and(Quietly::do(fn () => Reader::read($ics)->validate()))
        ->toBe([]);
    foreach (explode("\r\n", $ics) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75);
    }
});

test('without sessions there is no event', function () {
    expect(calendarOf(Scenario::plan([1]), []))->not->toContain('VEVENT')->not->toContain('VTIMEZONE');
});
