<?php

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Tests\Core\Scenario;

test('the wall time stays and the instant moves over the 28 March change in Madrid', function () {
    $madrid = Zone::named('Europe/Madrid');
    $sessions = Scenario::plan([1, 2, 3, 4, 5])->sessions(Scenario::term());
    $byDay = array_column(
        array_map(
            fn (PlannedSession $s): array => [(new LocalDate($s->day))->iso(), $madrid->iso($s->start)],
            $sessions,
        ),
        1,
        0,
    );

    expect($byDay['2027-03-19'])
        ->toBe('2027-03-19T10:00:00+01:00')
        ->and($byDay['2027-04-05'])
        ->toBe('2027-04-05T10:00:00+02:00');
});

test('Casablanca is an hour behind Madrid from 7 February to 14 March only', function () {
    $casablanca = Zone::named('Africa/Casablanca');
    $clocks = [];
    foreach (Scenario::plan([1, 2, 3, 4, 5])->sessions(Scenario::term()) as $session) {
        $clocks[(new LocalDate($session->day))->iso()] = $casablanca->clock($session->start);
    }

    expect($clocks['2027-02-05'])
        ->toBe('10:00')
        ->and($clocks['2027-02-08'])
        ->toBe('09:00')
        ->and($clocks['2027-03-12'])
        ->toBe('09:00')
        ->and($clocks['2027-03-15'])
        ->toBe('10:00')
        // From 28 March Madrid is on summer time, and Casablanca is behind again.
        ->and($clocks['2027-04-05'])
        ->toBe('09:00');
});

test('a skipped wall time moves forward by the gap, and one that comes twice means the first', function () {
    $madrid = Zone::named('Europe/Madrid');
    $spring = LocalDate::parse('2027-03-28')->day;
    $autumn = LocalDate::parse('2027-10-31')->day;

    expect($madrid->iso($madrid->instant($spring, 150)))
        ->toBe('2027-03-28T03:30:00+02:00')
        ->and($madrid->iso($madrid->instant($autumn, 150)))
        ->toBe('2027-10-31T02:30:00+02:00')
        ->and($madrid->iso($madrid->instant($spring, 119)))
        ->toBe('2027-03-28T01:59:00+01:00')
        ->and($madrid->iso($madrid->instant($spring, 180)))
        ->toBe('2027-03-28T03:00:00+02:00');
});

test('instants agree with PHP for every hour of a year in zones of all kinds', function (string $name) {
    $zone = Zone::named($name);
    $php = new DateTimeZone($name);
    for ($day = LocalDate::parse('2027-01-01')->day, $n = 0; $n < 365; $n++, $day++) {
        $minute = ($n * 97) % 1440;
        $text = (new LocalDate($day))->iso().sprintf(' %02d:%02d', intdiv($minute, 60), $minute % 60);
        $instant = $zone->instant($day, $minute);
        $wall = new DateTimeImmutable($text, $php);
        // PHP moves skipped times forward too, but means the second of a doubled hour nowhere: both agree on the first.
        expect($instant)
            ->toBe($wall->getTimestamp(), "$name $text")
            ->and($zone->wall($instant)[0])
            ->toBe(LocalDate::parse($wall->format('Y-m-d'))->day);
    }
})->with([
    'Europe/Madrid',
    'Atlantic/Canary',
    'Africa/Casablanca',
    'Atlantic/Azores',
    'Europe/Athens',
    'Australia/Lord_Howe',
    'America/St_Johns',
    'Pacific/Kiritimati',
    'UTC',
]);

test('on the days around a change every quarter of an hour is the first moment that shows it', function (string $name) {
    $zone = Zone::named($name);
    $php = new DateTimeZone($name);
    $changes = $php->getTransitions(
        (new DateTimeImmutable('2027-01-01'))->getTimestamp(),
        (new DateTimeImmutable('2027-12-31'))->getTimestamp(),
    );
    expect(count($changes))->toBeGreaterThan(1);
    foreach (array_slice($changes, 1) as $change) {
        $middle = intdiv($change['ts'], 86400);
        for ($day = $middle - 2; $day <= $middle + 2; $day++) {
            for ($minute = -15; $minute <= 1455; $minute += 15) {
                $at = $day * 86400 + 60 * $minute;
                $shows = array_filter(
                    array_map(fn (array $c): int => $at - $c['offset'], $changes),
                    fn (int $t): bool => $t + $php->getOffset(new DateTimeImmutable("@$t")) === $at,
                );
                // A time that is skipped is moved on by the gap, as PHP does.
                $gap = new DateTimeImmutable(gmdate('Y-m-d H:i', $at), $php);
                $instant = $zone->instant($day, $minute);
                expect($instant)->toBe(
                    $shows === [] ? $gap->getTimestamp() : min($shows),
                    "$name ".gmdate('Y-m-d H:i', $at),
                );
                expect($zone->wall($instant)[2])->toBe($php->getOffset(new DateTimeImmutable("@$instant")));
            }
        }
    }
})->with(['Europe/Madrid', 'Australia/Lord_Howe', 'America/St_Johns', 'Pacific/Auckland', 'America/Havana']);

test('a change is told with what held a second before it', function () {
    $zone = Zone::named('Europe/Madrid');
    $at = (new DateTimeImmutable('2027-03-28T01:00:00Z'))->getTimestamp();
    $row = ['at' => $at, 'offset' => 7200, 'before' => 3600, 'name' => 'CEST', 'summer' => true];
    expect($zone->changes($at, $at + 1))
        ->toBe([$row])
        ->and($zone->changes($at - 1, $at + 1))
        ->toBe([
            ['at' => $at - 1, 'offset' => 3600, 'before' => 3600, 'name' => 'CET', 'summer' => false],
            $row,
        ])
        ->and($zone->changes($at + 1, $at + 2)[0]['before'])
        ->toBe(7200);
});

test('the offsets of days are learnt once, and are the same however they are asked for', function () {
    [$first, $change] = [LocalDate::parse('2027-03-25')->day, LocalDate::parse('2027-03-28')->day];
    $zone = Zone::named('Europe/Madrid');
    $zone->instant($first + 1, 0);
    $offsets = $zone->offsets($first, $change + 3);
    expect(array_keys($offsets))
        ->toBe(range($first, $change + 3))
        ->and($offsets[$change])
        ->toBeNull()
        ->and($offsets)
        ->toBe(Zone::named('Europe/Madrid')->offsets($first, $change + 3))
        ->and([$offsets[$first], $offsets[$first + 1], $offsets[$change + 3]])
        ->toBe([3600, 3600, 7200]);
});
