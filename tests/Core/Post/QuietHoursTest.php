<?php

use Nomada\Core\Post\QuietHours;
use Nomada\Core\Post\Reminder;
use Nomada\Core\Term\Zone;

test('nobody is written to at night, on their own clock', function (string $at, string $zone, string $next) {
    $z = Zone::named($zone);
    expect($z->iso((new QuietHours())->next((int) strtotime($at), $z)))->toStartWith($next);
})->with([
    ['2027-02-09T09:00:00Z', 'UTC', '2027-02-09T09:00'],
    ['2027-02-09T20:59:59Z', 'UTC', '2027-02-09T20:59'],
    ['2027-02-09T21:00:00Z', 'UTC', '2027-02-10T07:00'],
    ['2027-02-09T06:59:00Z', 'UTC', '2027-02-09T07:00'],
    ['2027-02-09T07:00:00Z', 'UTC', '2027-02-09T07:00'],
    ['2027-02-09T20:30:00Z', 'Europe/Madrid', '2027-02-10T07:00'],
    ['2027-02-09T05:30:00Z', 'America/Santiago', '2027-02-09T07:00'],
]);

test('a night of other hours', function () {
    $utc = Zone::named('UTC');
    $hours = new QuietHours(20 * 60, 8 * 60 + 30);
    $next = fn (string $at): string => gmdate('D H:i', $hours->next((int) strtotime("2027-02-09T$at:00Z"), $utc));
    expect([$next('19:59'), $next('20:00'), $next('08:29'), $next('08:30'), $next('00:00')])->toBe([
        'Tue 19:59',
        'Wed 08:30',
        'Tue 08:30',
        'Tue 08:30',
        'Tue 08:30',
    ]);
});

test('when, and by what, one is reminded', function (
    Reminder $reminder,
    ?string $due,
    ?int $alarm,
    bool $ofSections,
) {
    $zone = Zone::named('Europe/Madrid');
    $start = (int) strtotime('2027-02-09T09:00:00Z');
    $at = $reminder->due($start, $zone);
    expect($at === null ? null : $zone->iso($at))
        ->toBe($due)
        ->and($reminder->alarm())
        ->toBe($alarm)
        ->and(in_array($reminder, Reminder::ofSections(), true))
        ->toBe($ofSections);
})->with([
    [Reminder::None, null, null, true],
    [Reminder::Evening, '2027-02-08T18:00:00+01:00', null, true],
    [Reminder::TwoHours, '2027-02-09T08:00:00+01:00', null, true],
    [Reminder::Hour, '2027-02-09T09:00:00+01:00', null, true],
    [Reminder::CalendarHour, null, 60, false],
    [Reminder::CalendarTenMinutes, null, 10, false],
]);
