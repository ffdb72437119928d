<?php

declare(strict_types=1);

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedDate;
use Tests\Support\English;

/** In the term from 9 February to 10 April 2027. */
function dateTyped(string $typed): string
{
    return TypedDate::read($typed, LocalDate::of(2027, 2, 9), LocalDate::of(2027, 4, 10), 'day')->iso();
}

it('reads a date as people type it', function (string $typed, string $iso): void {
    expect(dateTyped($typed))->toBe($iso);
})->with([
    ['18 Feb', '2027-02-18'],
    ['18feb', '2027-02-18'],
    ['18 february 2027', '2027-02-18'],
    ['18th of February', '2027-02-18'],
    ['Feb 18', '2027-02-18'],
    ['February 18, 2027', '2027-02-18'],
    ['Thu 18 Feb', '2027-02-18'],
    ['Thu, 18 Feb 2027', '2027-02-18'],
    ['thursday  18 feb', '2027-02-18'],
    ['18/2', '2027-02-18'],
    ['18.2.', '2027-02-18'],
    ['18-2-27', '2027-02-18'],
    ['18/02/2027', '2027-02-18'],
    ['Thu 18/2', '2027-02-18'],
    ['jue 18 feb', '2027-02-18'],
    ['mar 9 mar 2027', '2027-03-09'],
    ['Martes, 9 de marzo de 2027', '2027-03-09'],
    ['mar 9', '2027-03-09'],
    ['Mié 10 feb', '2027-02-10'],
    ['9 de abril', '2027-04-09'],
    ['sáb 10', '2027-04-10'],
    ['2027-02-18', '2027-02-18'],
    ['20270218', '2027-02-18'],
    ['Fri 9', '2027-04-09'],
    ['30', '2027-03-30'],
    // Outside the term the nearest is meant, and the caller says that it is outside.
    ['8 Feb', '2027-02-08'],
    ['11 Apr', '2027-04-11'],
    ['31 Dec', '2026-12-31'],
    ['18 Feb 2030', '2030-02-18'],
    ['29 Feb 2028', '2028-02-29'],
]);

it('asks where it could be two, and says what is none', function (string $typed, string $said): void {
    expect(fn () => dateTyped($typed))->toThrow(
        fn (Fault $e) => expect($e->field)->toBe('day')->and(English::of($e))->toContain($said),
    );
})->with([
    ['Thu 18 Mar 27 x', 'is not a date'],
    ['soon', '"soon" is not a date. Write it as 18 Feb, 18/2 or Thu 18.'],
    ['2/18', '"2/18" is not a date.'],
    ['30 Feb', 'The date "30 Feb" does not exist.'],
    ['29 Feb 2027', 'The date "29 Feb 2027" does not exist.'],
    ['2027-02-30', 'The date 2027-02-30 does not exist.'],
    ['Fri 18 Feb', 'In 2027 that day is Thu 18 Feb. Which of the two do you mean?'],
    ['18', '"18" could be any of these: Thu 18 Feb, Thu 18 Mar. Add the month.'],
    ['Mon 18', '"Mon 18" is not in the term. Add the month, for example 18 Feb.'],
]);

it('finds the date of every day of a year, however it is written', function (): void {
    $first = LocalDate::of(2026, 9, 1);
    $last = $first->plus(364);
    for ($day = $first; $day->day <= $last->day; $day = $day->plus(1)) {
        [$y, $m, $d] = $day->parts();
        foreach ([$day->short(), $day->dayMonth(), "$d/$m", "$d.$m.$y", $day->iso()] as $typed) {
            expect(TypedDate::read($typed, $first, $last)->day)->toBe($day->day);
        }
    }
});
