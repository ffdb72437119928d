<?php

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Patterns;
use Nomada\Core\Timetable\RecurrenceRule;
use Nomada\Core\Timetable\WeeklyPattern;
use Sabre\VObject\Recur\RRuleIterator;

function ruleDays(string $rule, string $start, int $most): array
{
    $out = [];
    foreach (
        RecurrenceRule::parse($rule, Zone::named('UTC'))->days(
            LocalDate::parse($start),
            LocalDate::parse($start)->day + 9000,
        ) as $day
    ) {
        $out[] = (new LocalDate($day))->iso();
        if (count($out) === $most) {
            break;
        }
    }

    return $out;
}

test('a rule makes the days that sabre/vobject makes', function (string $rule, string $start) {
    // sabre always counts the start itself; the starts below fall on their rules.
    $peer = new RRuleIterator("$rule;COUNT=40", new DateTimeImmutable("$start 10:00 UTC"));
    $want = [];
    for (; $peer->valid() && count($want) < 40; $peer->next()) {
        $want[] = $peer->current()->format('Y-m-d');
    }

    expect(ruleDays($rule, $start, 40))->toBe($want);
})->with([
    ['FREQ=DAILY', '2027-01-11'],
    ['FREQ=DAILY;INTERVAL=3', '2027-01-11'],
    ['FREQ=DAILY;BYDAY=MO,WE', '2027-01-11'],
    ['FREQ=WEEKLY', '2027-01-13'],
    ['FREQ=WEEKLY;BYDAY=TU,TH', '2027-01-12'],
    ['FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,FR', '2027-01-11'],
    ['FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,SU;WKST=SU', '2027-01-12'],
    ['FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,SU;WKST=MO', '2027-01-12'],
    ['FREQ=MONTHLY', '2027-01-31'],
    ['FREQ=MONTHLY;BYMONTHDAY=15', '2027-01-15'],
    ['FREQ=MONTHLY;BYMONTHDAY=-1', '2027-01-31'],
    ['FREQ=MONTHLY;BYDAY=1WE', '2027-02-03'],
    ['FREQ=MONTHLY;BYDAY=-1FR', '2027-01-29'],
    ['FREQ=MONTHLY;BYDAY=2TU,4TU', '2027-01-12'],
    ['FREQ=MONTHLY;INTERVAL=2;BYDAY=TU', '2027-01-05'],
    ['FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1', '2027-01-29'],
    ['FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13', '2026-11-13'],
]);

test('UNTIL is inclusive as a date, and a moment that no session may start after', function () {
    $zone = Zone::named('Europe/Madrid');

    expect(RecurrenceRule::parse('FREQ=DAILY;UNTIL=20270422', $zone)->until?->iso())
        ->toBe('2027-04-22')
        ->and(RecurrenceRule::parse('FREQ=DAILY;UNTIL=20270422T215959Z', $zone)->until?->iso())
        ->toBe('2027-04-22')
        ->and(RecurrenceRule::parse('FREQ=DAILY;UNTIL=20270422T220000Z', $zone)->until?->iso())
        ->toBe('2027-04-23');
});

test('a rule that is a weekly pattern becomes one', function (string $rule, ?array $weekdays, int $every) {
    $pattern = Patterns::fromRule(RecurrenceRule::parse($rule, Zone::named('UTC')), LocalDate::parse('2027-01-13'));

    expect($pattern instanceof WeeklyPattern ? [$pattern->weekdays, $pattern->every] : null)->toBe(
        $weekdays === null ? null : [$weekdays, $every],
    );
})->with([
    ['FREQ=WEEKLY', [3], 1],
    ['FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,TH', [2, 4], 2],
    ['FREQ=DAILY;BYDAY=MO,FR', [1, 5], 1],
    ['FREQ=WEEKLY;BYDAY=TU;WKST=SU', [2], 1],
    ['FREQ=DAILY', null, 0],
    ['FREQ=WEEKLY;INTERVAL=2;BYDAY=TU;WKST=SU', null, 0],
    ['FREQ=MONTHLY;BYDAY=1WE', null, 0],
    ['FREQ=DAILY;INTERVAL=2;BYDAY=MO', null, 0],
    ['FREQ=DAILY;BYDAY=MO;BYMONTHDAY=1', null, 0],
]);

test('what is not supported is a fault that names the part', function (string $rule, string $words) {
    expect(fn () => RecurrenceRule::parse($rule, Zone::named('UTC')))->toFault($words);
})->with([
    ['FREQ=YEARLY', 'FREQ=YEARLY'],
    ['FREQ=HOURLY', 'FREQ=HOURLY'],
    ['FREQ=DAILY;BYHOUR=9', 'BYHOUR'],
    ['FREQ=DAILY;BYWEEKNO=3', 'BYWEEKNO'],
    ['BYDAY=MO', 'no FREQ'],
    ['FREQ=WEEKLY;BYDAY=2TU', '2TU'],
    ['FREQ=WEEKLY;BYDAY=XX', 'XX'],
    ['FREQ=DAILY;COUNT=0', 'COUNT'],
    ['FREQ=DAILY;COUNT=3;UNTIL=20270101', 'both COUNT and UNTIL'],
    ['FREQ=DAILY;UNTIL=soon', 'UNTIL'],
    ['FREQ=DAILY;INTERVAL=0', 'INTERVAL'],
    ['FREQ=WEEKLY;BYMONTHDAY=3', 'BYMONTHDAY'],
    ['FREQ=WEEKLY;BYDAY=MO;BYSETPOS=1', 'BYSETPOS'],
    ['FREQ=DAILY;FREQ=DAILY', 'twice'],
    ['every day', 'not a part'],
]);
