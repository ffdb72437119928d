<?php

use Nomada\Core\Interchange\Calendar\ServedEvent;
use Nomada\Core\Publishing\Difference;
use Nomada\Core\Publishing\DiscrepancyCause;
use Nomada\Core\Publishing\DoorSession;
use Nomada\Core\Publishing\Truth;
use Nomada\Core\Term\Zone;
use Tests\Core\Scenario;

/** Sessions at ten of given days (hours from 2027-02-09 00:00 UTC). */
function doorSessions(array $hours): array
{
    $base = strtotime('2027-02-09T00:00:00Z');

    return array_map(
        fn ($h) => new DoorSession($base + (int) (3600 * $h), $base + (int) (3600 * $h) + 2700, 'a'),
        $hours,
    );
}

function servedEvents(array $hours, string $link = 'a', int $seconds = 2700): array
{
    return array_map(
        fn (DoorSession $d) => new ServedEvent('u', $d->start, $d->start + $seconds, 'x', $link),
        doorSessions($hours),
    );
}

/** @return list<string> */
function seenOf(array $differences): array
{
    return array_map(fn (Difference $d): string => $d->seen->value, $differences);
}

test('the same is no difference, in whatever order', function () {
    $door = doorSessions([10, 34, 58]);
    expect(Truth::ofCalendar($door, array_reverse(servedEvents([10, 34, 58])), Zone::named('UTC')))->toBe([]);
    expect(Truth::ofCalendar([], [], Zone::named('UTC')))->toBe([]);
});

test('missing, there too much, at another time, ending at another, with another link', function () {
    $zone = Zone::named('UTC');
    $of = fn (array $door, array $served) => seenOf(Truth::ofCalendar(doorSessions($door), $served, $zone));
    expect($of([10, 34], servedEvents([10])))->toBe(['missing']);
    expect($of([10], servedEvents([10, 34])))->toBe(['extra']);
    expect($of([10], servedEvents([12])))->toBe(['other-time']);
    // On the day after it is another session.
    expect($of([10], servedEvents([34])))->toBe(['missing', 'extra']);
    expect($of([10], servedEvents([10], 'a', 2701)))->toBe(['other-time']);
    expect($of([10], servedEvents([10], 'b')))->toBe(['other-link']);
    // Twice there, once held.
    expect($of([10], servedEvents([10, 10])))->toBe(['extra']);
    [$moved] = Truth::ofCalendar(doorSessions([10]), servedEvents([12]), $zone);
    expect([$moved->start, $moved->there])->toBe([doorSessions([10])[0]->start, doorSessions([12])[0]->start]);
    [$missing] = Truth::ofCalendar(doorSessions([10]), [], $zone);
    expect([$missing->start, $missing->there])->toBe([doorSessions([10])[0]->start, null]);
});

test('a day is the zone\'s', function () {
    // 23:30 and 00:30 UTC are one day in Madrid, two in UTC.
    $door = doorSessions([23.5]);
    $served = servedEvents([24.5]);
    expect(seenOf(Truth::ofCalendar($door, $served, Zone::named('UTC'))))
        ->toBe(['missing', 'extra'])
        ->and(seenOf(Truth::ofCalendar($door, $served, Zone::named('Europe/Madrid'))))
        ->toBe(['other-time']);
});

test('against counting: differences tell exactly how many are missing and too many', function () {
    mt_srand(27);
    for ($n = 0; $n < Scenario::rounds(300); $n++) {
        $hours = fn (): array => array_values(
            array_unique(array_map(fn () => 24 * mt_rand(0, 9) + 10, range(1, mt_rand(1, 8)))),
        );
        [$door, $there] = [$hours(), $hours()];
        $seen = array_count_values(
            seenOf(Truth::ofCalendar(doorSessions($door), servedEvents($there), Zone::named('UTC'))),
        );
        expect([$seen['missing'] ?? 0, $seen['extra'] ?? 0, $seen['other-time'] ?? 0])->toBe([
            count(array_diff($door, $there)),
            count(array_diff($there, $door)),
            0,
        ]);
    }
});

test('why somebody sees something else', function (array $given, DiscrepancyCause $cause) {
    expect(DiscrepancyCause::of(...$given))->toBe($cause);
})->with([
    [[true, 'a', 'a', '1', '2'], DiscrepancyCause::LeftAlone],
    [[false, 'a', 'a', '1', null], DiscrepancyCause::DeletedThere],
    [[false, 'a', 'a', '1', '2'], DiscrepancyCause::ChangedThere],
    [[false, 'a', 'b', '1', '1'], DiscrepancyCause::NotPublished],
    [[false, 'a', null, null, null], DiscrepancyCause::NotPublished],
    [[false, null, 'b', '1', '1'], DiscrepancyCause::NotPublished],
]);
