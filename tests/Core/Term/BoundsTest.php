<?php

use Nomada\Core\Fault;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Period;
use Nomada\Core\Term\Rotation;
use Nomada\Core\Term\ShortDay;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedDate;
use Nomada\Core\Term\Zone;
use Tests\Core\Scenario;
use Tests\Support\English;

/** The field of the fault and how its words begin; '' if there is none. */
function faultOf(callable $make): string
{
    try {
        $make();
    } catch (Fault $e) {
        return "$e->field: ".English::of($e);
    }

    return '';
}

test('the last value that is right, and the first that is not', function (
    callable $right,
    callable $wrong,
    string $words,
) {
    expect(faultOf($right))->toBe('')->and(faultOf($wrong))->toStartWith($words);
})->with([
    'the name of a period' => [
        fn () => new Period(str_repeat('ñ', 40), 0, 1),
        fn () => new Period(str_repeat('a', 41), 0, 1),
        'periods: Enter a name for the period, of up to 40',
    ],
    'a name of one letter' => [fn () => new Period('1', 0, 1), fn () => new Period(" \t", 0, 1), 'periods: Enter a'],
    'a period of one minute' => [
        fn () => new Period('1', 5, 6),
        fn () => new Period('1', 5, 5),
        'periods: The period 1 ends before',
    ],
    'until midnight' => [
        fn () => new Period('1', 0, 1440),
        fn () => new Period('1', 0, 1441),
        'periods: The period 1',
    ],
    'from midnight' => [fn () => new Period('1', 0, 9), fn () => new Period('1', -1, 9), 'periods: The period 1'],
    'the name of a day plan' => [
        fn () => new DayPlan(str_repeat('ñ', 60), [new Period('1', 0, 1)]),
        fn () => new DayPlan(str_repeat('a', 61), [new Period('1', 0, 1)]),
        'plan_name: Enter a name for the day plan, of up to 60',
    ],
    'a plan without a name' => [
        fn () => new DayPlan('A', [new Period('1', 0, 1)]),
        fn () => new DayPlan(' ', [new Period('1', 0, 1)]),
        'plan_name: ',
    ],
    'periods that touch' => [
        fn () => new DayPlan('A', [new Period('2', 60, 90), new Period('1', 0, 60)]),
        fn () => new DayPlan('A', [new Period('2', 59, 90), new Period('1', 0, 60)]),
        'periods: The periods 1 and 2 overlap: 1 ends at 01:00, 2 starts at 00:59.',
    ],
    'names of periods' => [
        fn () => new DayPlan('A', [new Period('a', 0, 1), new Period('b', 1, 2)]),
        fn () => new DayPlan('A', [new Period('É', 0, 1), new Period('é', 1, 2)]),
        'periods: Two periods are called',
    ],
    'the first year' => [
        fn () => LocalDate::of(1900, 1, 1),
        fn () => LocalDate::of(1899, 12, 31),
        ': The date 1899-12-31 does not exist.',
    ],
    'the last year' => [
        fn () => LocalDate::of(2199, 12, 31),
        fn () => LocalDate::of(2200, 1, 1),
        ': The date 2200-01-01 does not exist.',
    ],
    'a leap day' => [
        fn () => LocalDate::parse(' 2028-02-29 '),
        fn () => LocalDate::parse('2027-02-29'),
        ': The date 2027-02-29 does not',
    ],
    'a rotation of two' => [
        fn () => new Rotation(false, 2, true),
        fn () => new Rotation(false, 1, true),
        'rotation_n: ',
    ],
    'a rotation of twelve' => [
        fn () => new Rotation(false, 12, false),
        fn () => new Rotation(false, 13, false),
        'rotation_n: ',
    ],
    'a pin' => [
        fn () => new Rotation(false, 3, true, [20500 => 3, 20501 => 1]),
        fn () => new Rotation(false, 3, true, [20500 => 4]),
        'pin_to: Mon 16 Feb is pinned',
    ],
    'a pin below the first' => [
        fn () => new Rotation(false, 3, true, [20500 => 1]),
        fn () => new Rotation(false, 3, true, [20500 => 0]),
        'pin_to: ',
    ],
    'a reason' => [
        fn () => new ShortDay(LocalDate::parse('2027-03-11'), new DayPlan('A', [new Period('1', 0, 1)]), 'Fair'),
        fn () => new ShortDay(LocalDate::parse('2027-03-11'), new DayPlan('A', [new Period('1', 0, 1)]), ' '),
        'short_reason: ',
    ],
    'a term of one day' => [
        fn () => new Term('T', LocalDate::parse('2027-03-11'), LocalDate::parse('2027-03-11'), Zone::named('UTC')),
        fn () => new Term('T', LocalDate::parse('2027-03-11'), LocalDate::parse('2027-03-10'), Zone::named('UTC')),
        ': The term "T" ends',
    ],
    'the longest term' => [
        fn () => new Term('T', new LocalDate(20000), new LocalDate(20400), Zone::named('UTC')),
        fn () => new Term('T', new LocalDate(20000), new LocalDate(20401), Zone::named('UTC')),
        ': The term "T" is longer',
    ],
    'a zone' => [
        fn () => Zone::named(' Europe/Madrid '),
        fn () => Zone::named('Europe/Nowhere'),
        ': "Europe/Nowhere"',
    ],
    'the first month' => [
        fn () => TypedDate::read('18/1', ...springTerm()),
        fn () => TypedDate::read('18/0', ...springTerm()),
        'on: "18/0" is not a date. Write the day first, for example',
    ],
    'the last month' => [
        fn () => TypedDate::read('18/12', ...springTerm()),
        fn () => TypedDate::read('18/13', ...springTerm()),
        'on: "18/13" is not a date. Write the day first, for example',
    ],
    'the first year as it is typed' => [
        fn () => TypedDate::read('1 Jan 1900', ...springTerm()),
        fn () => TypedDate::read('1 Jan 1899', ...springTerm()),
        'on: The date "1 Jan 1899" does not exist. Enter a day that',
    ],
    'the last year as it is typed' => [
        fn () => TypedDate::read('1 Jan 2199', ...springTerm()),
        fn () => TypedDate::read('1 Jan 2200', ...springTerm()),
        'on: The date "1 Jan 2200" does not exist. Enter a day that',
    ],
    'a day that comes once' => [
        fn () => TypedDate::read('Wed 20', ...springTerm()),
        fn () => TypedDate::read('12', ...springTerm()),
        'on: "12" could be any of these: Tue 12 Jan, Fri 12 Feb, Fri',
    ],
]);

/** @return array{LocalDate, LocalDate, string} */
function springTerm(): array
{
    return [LocalDate::parse('2027-01-11'), LocalDate::parse('2027-04-23'), 'on'];
}

test('of years that are not written the nearest to the term is meant', function (string $typed, string $date) {
    expect(TypedDate::read($typed, ...springTerm())->iso())->toBe($date);
})->with([
    'in the term' => ['18 feb', '2027-02-18'],
    'before it' => ['20 dec', '2026-12-20'],
    'behind it' => ['1 may', '2027-05-01'],
    'a day nearer behind it' => ['1 sep', '2027-09-01'],
    'a day nearer before it' => ['30 aug', '2027-08-30'],
    'nearer before it' => ['3 sep', '2026-09-03'],
    'two digits' => ['18 feb 28', '2028-02-18'],
    'the month first' => ['  feb   18 ', '2027-02-18'],
    'a whole name' => ['Thursday 18th of February, 2027', '2027-02-18'],
]);

test('years, weeks and eras are those of PHP\'s own calendar, before 1970 too', function () {
    foreach (range(-25567, 83995, 37) as $day) {
        $at = new DateTimeImmutable("1970-01-01 UTC {$day} days");
        [$year, $month, $of] = array_map(intval(...), explode('-', $at->format('Y-m-d')));
        expect(LocalDate::partsOf($day))
            ->toBe([$year, $month, $of])
            ->and(LocalDate::toDay($year, $month, $of))
            ->toBe($day)
            ->and(LocalDate::weekdayOf($day))
            ->toBe((int) $at->format('N'));
    }
    // The seams of the arithmetic: the year zero, and four centuries on both sides of it.
    foreach (['-0400-02-29', '-0001-12-31', '0000-01-01', '0000-02-29', '0000-03-01', '0400-02-29'] as $iso) {
        $at = new DateTimeImmutable("$iso UTC");
        $day = intdiv($at->getTimestamp(), 86400);
        [$year, $month, $of] = array_map(intval(...), sscanf($iso, '%d-%d-%d'));
        expect(LocalDate::toDay($year, $month, $of))
            ->toBe($day)
            ->and(LocalDate::partsOf($day))
            ->toBe([$year, $month, $of]);
    }
});

test('a zone knows each day of a span, but for the ones on which the clock changes', function () {
    $zone = Zone::named('Europe/Madrid');
    $change = LocalDate::parse('2027-03-28')->day;
    $offsets = $zone->offsets($change - 5, $change + 5);
    expect(array_keys($offsets))
        ->toBe(range($change - 5, $change + 5))
        ->and($offsets[$change - 5])
        ->toBe(3600)
        ->and($offsets[$change])
        ->toBeNull()
        ->and($offsets[$change + 5])
        ->toBe(7200)
        ->and($zone->offsets($change - 5, $change + 5))
        ->toBe($offsets);
});

test('minutes beyond the day are of the day before or after, over the change too', function (
    string $zone,
    string $date,
    int $minute,
    string $utc,
) {
    $at = Zone::named($zone)->instant(LocalDate::parse($date)->day, $minute);
    expect(gmdate('Y-m-d H:i', $at))->toBe($utc);
})->with([
    'the day before' => ['Europe/Madrid', '2027-02-10', -1, '2027-02-09 22:59'],
    'midnight' => ['Europe/Madrid', '2027-02-10', 0, '2027-02-09 23:00'],
    'the last minute' => ['Europe/Madrid', '2027-02-10', 1439, '2027-02-10 22:59'],
    'the next midnight' => ['Europe/Madrid', '2027-02-10', 1440, '2027-02-10 23:00'],
    'over the change of the next day' => ['Europe/Madrid', '2027-03-27', 1440 + 240, '2027-03-28 02:00'],
    'before the change of the same day' => ['Europe/Madrid', '2027-03-28', 60, '2027-03-28 00:00'],
    'behind it' => ['Europe/Madrid', '2027-03-28', 240, '2027-03-28 02:00'],
    'what is skipped' => ['Europe/Madrid', '2027-03-28', 150, '2027-03-28 01:30'],
    'what comes twice is the first' => ['Europe/Madrid', '2027-10-31', 150, '2027-10-31 00:30'],
    'far east' => ['Pacific/Kiritimati', '2027-02-10', 600, '2027-02-09 20:00'],
    'far west' => ['Pacific/Niue', '2027-02-10', 600, '2027-02-10 21:00'],
]);

test('the changes of the clock carry what was before them', function () {
    $from = strtotime('2027-03-01 UTC');
    $changes = Zone::named('Europe/Madrid')->changes($from, strtotime('2027-11-30 UTC'));
    expect(
        array_map(
            fn (array $c): array => [gmdate('m-d H:i', $c['at']), ...array_slice(array_values($c), 1)],
            $changes,
        ),
    )->toBe([
        ['03-01 00:00', 3600, 3600, 'CET', false],
        ['03-28 01:00', 7200, 3600, 'CEST', true],
        ['10-31 01:00', 3600, 7200, 'CET', false],
    ]);
});

test('a term answers at its edges', function () {
    $term = Scenario::term();
    [$first, $last] = [$term->first->day, $term->last->day];
    expect(array_map($term->contains(...), [$first - 1, $first, $last, $last + 1]))
        ->toBe([false, true, true, false])
        ->and($term->isOpen($first - 1))
        ->toBeFalse()
        ->and($term->closedBecause($last + 1))
        ->toBe('=outside')
        ->and(count($term->closedDays()))
        ->toBe($last - $first + 1 - count($term->openDays()))
        ->and($term->isWeekend(LocalDate::parse('2027-02-12')->day))
        ->toBeFalse()
        ->and($term->isWeekend(LocalDate::parse('2027-02-13')->day))
        ->toBeTrue();
    $opened = new Term($term->title, $term->first, $term->last, $term->zone, [], [LocalDate::parse('2027-02-13')]);
    expect($opened->isWeekend(LocalDate::parse('2027-02-13')->day))
        ->toBeFalse()
        ->and($opened->weekdays())
        ->toBe([1, 2, 3, 4, 5, 6])
        ->and($opened->rotationOn($first))
        ->toBeNull()
        ->and($opened->rotationLabel($first))
        ->toBeNull();
});

test('the label of a rotation day is found whatever its case, and no other', function () {
    $letters = new Rotation(false, 3, true);
    expect(array_map($letters->numberOf(...), ['a', 'C', 'D', '']))
        ->toBe([1, 3, null, null])
        ->and((new Rotation(true, 2, false))->numberOf('2'))
        ->toBe(2);
});
