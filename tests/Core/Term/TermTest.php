<?php

use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Tests\Core\Scenario;

test('the scenario has 61 school days in 15 weeks', function () {
    $term = Scenario::term();

    expect($term->openDays())
        ->toHaveCount(61)
        ->and($term->weeks())
        ->toBe(15)
        ->and($term->closedBecause(LocalDate::parse('2027-02-16')->day))
        ->toBe('Carnival')
        ->and($term->closedBecause(LocalDate::parse('2027-02-13')->day))
        ->toBe('=weekend')
        ->and($term->closedBecause(LocalDate::parse('2027-04-24')->day))
        ->toBe('=outside')
        ->and($term->closedBecause(LocalDate::parse('2027-02-18')->day))
        ->toBeNull();
});

test('teaching week 1 is the week of the first day, whatever weekday that is', function () {
    $term = new Term(
        'T',
        LocalDate::parse('2027-01-13'),
        LocalDate::parse('2027-02-05'),
        Zone::named('Europe/Madrid'),
    );

    expect($term->weekOf(LocalDate::parse('2027-01-13')->day))
        ->toBe(1)
        ->and($term->weekOf(LocalDate::parse('2027-01-17')->day))
        ->toBe(1)
        ->and($term->weekOf(LocalDate::parse('2027-01-18')->day))
        ->toBe(2)
        ->and($term->monday(1)->iso())
        ->toBe('2027-01-11');
});

test('a weekend day that was opened is open, unless it is closed as well', function () {
    $saturday = LocalDate::parse('2027-01-16');
    $open = new Term(
        'T',
        LocalDate::parse('2027-01-11'),
        LocalDate::parse('2027-01-31'),
        Zone::named('UTC'),
        [],
        [$saturday],
    );
    $both = new Term(
        'T',
        LocalDate::parse('2027-01-11'),
        LocalDate::parse('2027-01-31'),
        Zone::named('UTC'),
        [new Closure($saturday, $saturday, 'Storm')],
        [$saturday],
    );

    expect($open->isOpen($saturday->day))->toBeTrue()->and($both->closedBecause($saturday->day))->toBe('Storm');
});

test('what makes no sense is refused in words', function (callable $make, string $words) {
    expect($make)->toFault($words);
})->with([
    'a closure that ends before it starts' => [
        fn () => new Closure(LocalDate::parse('2027-02-17'), LocalDate::parse('2027-02-15'), 'Carnival'),
        'before it starts',
    ],
    'a closure without a reason' => [
        fn () => new Closure(LocalDate::parse('2027-02-15'), LocalDate::parse('2027-02-15'), ' '),
        'reason',
    ],
    'a term that ends before it starts' => [
        fn () => new Term('T', LocalDate::parse('2027-02-17'), LocalDate::parse('2027-02-15'), Zone::named('UTC')),
        'before it starts',
    ],
    'a term of two years' => [
        fn () => new Term('T', LocalDate::parse('2027-01-01'), LocalDate::parse('2028-12-31'), Zone::named('UTC')),
        '400 days',
    ],
    'a date that does not exist' => [fn () => LocalDate::parse('2027-02-29'), 'does not exist'],
    'a date written otherwise' => [fn () => LocalDate::parse('29/1/2027'), 'Write year-month-day'],
    'a zone that nobody knows' => [fn () => Zone::named('Europe/Marisma'), 'IANA'],
]);

test('dates agree with PHP\'s own calendar over three hundred years', function () {
    for ($day = LocalDate::toDay(1900, 1, 1), $n = 0; $n < 1500; $n++, $day += 73) {
        $php = new DateTimeImmutable('@'.$day * 86400);
        $ours = new LocalDate($day);
        expect($ours->iso())
            ->toBe($php->format('Y-m-d'))
            ->and($ours->weekday())
            ->toBe((int) $php->format('N'))
            ->and(LocalDate::parse($ours->iso())->day)
            ->toBe($day);
    }
});
