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
    ['every day', '"EVERY DAY" is not part of a recurrence rule.'],
]);

test('a rule as it is written, and as it is written again', function (string $typed, string $again) {
    expect(RecurrenceRule::parse($typed, Zone::named('UTC'))->text())->toBe($again);
})->with([
    'in any case, with its name and a semicolon at its end' => [
        ' rrule:Freq=weekly; byday=tu,TH; ',
        'FREQ=WEEKLY;BYDAY=TU,TH',
    ],
    'one as its own name' => ['FREQ=DAILY;INTERVAL=1', 'FREQ=DAILY'],
    'the largest of each' => [
        'FREQ=MONTHLY;INTERVAL=1000;BYMONTH=12,1;BYMONTHDAY=31,-31',
        'FREQ=MONTHLY;INTERVAL=1000;BYMONTH=12,1;BYMONTHDAY=31,-31',
    ],
    'places from both ends' => [
        'FREQ=MONTHLY;BYSETPOS=366,-366,1;BYDAY=5MO,-5TU,+1WE,FR',
        'FREQ=MONTHLY;BYDAY=5MO,-5TU,1WE,FR;BYSETPOS=366,-366,1',
    ],
    'weeks from Sunday' => ['FREQ=WEEKLY;WKST=SU', 'FREQ=WEEKLY;WKST=SU'],
    'count and until are the series\' own' => ['FREQ=DAILY;COUNT=5000', 'FREQ=DAILY'],
]);

test('what is too much, and what is none, of every part', function (string $rule, string $words) {
    expect(fn () => RecurrenceRule::parse($rule, Zone::named('UTC')))->toFault($words);
})->with([
    [
        'FREQ',
        '"FREQ" is not part of a recurrence rule. Write NAME=VALUE, separated by semicolons, for',
    ],
    ['FREQ=DAILY;;COUNT=2', '"" is not part of a recurrence rule. Write NAME=VALUE, separated by semicolons, for'],
    ['FREQ=DAILY;BYHOUR=9', 'The part BYHOUR of the rule is not supported. '],
    ['FREQ=DAILY;COUNT=2;COUNT=3', 'part COUNT twice. Keep one.'],
    ['FREQ=DAILY;INTERVAL=0', 'INTERVAL is "0".'],
    ['FREQ=DAILY;INTERVAL=1001', 'INTERVAL is "1001"'],
    ['FREQ=DAILY;INTERVAL=2X', 'INTERVAL is "2X"'],
    ['FREQ=DAILY;COUNT=0', 'COUNT is "0".'],
    ['FREQ=DAILY;COUNT=5001', 'COUNT is "5001"'],
    ['FREQ=MONTHLY;BYMONTHDAY=32', 'BYMONTHDAY has "32".'],
    ['FREQ=MONTHLY;BYMONTHDAY=1,0', 'BYMONTHDAY has "0"'],
    ['FREQ=MONTHLY;BYMONTHDAY=-32', 'BYMONTHDAY has "-32"'],
    ['FREQ=MONTHLY;BYMONTHDAY=1,,2', 'BYMONTHDAY has ""'],
    ['FREQ=MONTHLY;BYDAY=MO;BYSETPOS=367', 'BYSETPOS has "367".'],
    ['FREQ=MONTHLY;BYMONTH=1,-1', 'Use 1 to 12 for BYMONTH.'],
    ['FREQ=MONTHLY;BYMONTH=13', 'BYMONTH has "13".'],
    ['FREQ=MONTHLY;BYDAY=6MO', 'BYDAY has "6MO": a number from 1 to 5 or -1 to -5'],
    ['FREQ=MONTHLY;BYDAY=-6MO', 'BYDAY has "-6MO"'],
    ['FREQ=MONTHLY;BYDAY=0MO', 'BYDAY has "0MO"'],
    ['FREQ=WEEKLY;BYDAY=1MO', 'BYDAY has "1MO"'],
    ['FREQ=WEEKLY;BYDAY=XX', 'BYDAY has "XX".'],
    ['FREQ=DAILY;UNTIL=20270422T240000Z', 'UNTIL is "20270422T240000Z"'],
    ['FREQ=DAILY;UNTIL=20270422T126000', 'UNTIL is "20270422T126000"'],
]);

test('until which moment a rule goes, on the clock that it is written by', function (
    string $until,
    ?string $day,
    ?string $instant,
) {
    $rule = RecurrenceRule::parse("FREQ=DAILY;UNTIL=$until", Zone::named('Europe/Madrid'));
    expect([
        $rule->until?->iso(),
        $rule->untilInstant === null ? null : gmdate('Y-m-d H:i:s', $rule->untilInstant),
    ])->toBe([$day, $instant]);
})->with([
    'a date' => ['20270209', '2027-02-09', null],
    'of UTC' => ['20270209T233015Z', '2027-02-10', '2027-02-09 23:30:15'],
    'of its own clock' => ['20270209T003015', '2027-02-09', '2027-02-08 23:30:15'],
    'in summer' => ['20270409T003000', '2027-04-09', '2027-04-08 22:30:00'],
]);

test('days to the last one, which still counts', function (string $rule, string $from, string $last, array $are) {
    $days = RecurrenceRule::parse($rule, Zone::named('UTC'))->days(
        LocalDate::parse($from),
        LocalDate::parse($last)->day,
    );
    expect(array_map(fn (int $d): string => (new LocalDate($d))->iso(), [...$days]))->toBe($are);
})->with([
    'daily' => ['FREQ=DAILY;INTERVAL=2', '2027-01-11', '2027-01-15', ['2027-01-11', '2027-01-13', '2027-01-15']],
    'weekly' => ['FREQ=WEEKLY;BYDAY=TH,MO,MO', '2027-01-12', '2027-01-18', ['2027-01-14', '2027-01-18']],
    'weekly, of some months' => ['FREQ=WEEKLY;BYMONTH=2', '2027-01-26', '2027-02-09', ['2027-02-02', '2027-02-09']],
    'monthly' => ['FREQ=MONTHLY', '2027-01-31', '2027-03-31', ['2027-01-31', '2027-03-31']],
    'monthly, of some months, over the year' => [
        'FREQ=MONTHLY;BYMONTH=12,2;BYMONTHDAY=9',
        '2026-11-20',
        '2027-02-09',
        ['2026-12-09', '2027-02-09'],
    ],
    'the first and the last weekday of each month, in the order of days' => [
        'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1,1,1',
        '2027-01-02',
        '2027-02-01',
        ['2027-01-29', '2027-02-01'],
    ],
    'a place that no month has' => ['FREQ=MONTHLY;BYDAY=MO;BYSETPOS=6', '2027-01-01', '2027-06-30', []],
    'never again' => ['FREQ=DAILY', '2027-01-12', '2027-01-11', []],
]);

test('a rule without days goes on meaning its start\'s', function (string $rule, string $text) {
    $start = LocalDate::parse('2027-01-13');
    expect(RecurrenceRule::parse($rule, Zone::named('UTC'))->anchored($start)->text())->toBe($text);
})->with([
    ['FREQ=WEEKLY;INTERVAL=2;BYMONTH=2;WKST=SU', 'FREQ=WEEKLY;INTERVAL=2;BYMONTH=2;BYDAY=WE;WKST=SU'],
    ['FREQ=MONTHLY', 'FREQ=MONTHLY;BYMONTHDAY=13'],
    ['FREQ=DAILY', 'FREQ=DAILY'],
    ['FREQ=WEEKLY;BYDAY=FR', 'FREQ=WEEKLY;BYDAY=FR'],
]);
