<?php

use Nomada\Core\Language\Phrases;
use Nomada\Core\Term\LocalDate;

test('words stand under codes, with what is put into them', function () {
    $phrases = new Phrases('en', [
        'a' => 'Plain :x',
        'b' => ['c' => ':n of :name, :name'],
        'd' => ['e' => ['f' => 'deep']],
    ]);
    expect($phrases->say('a'))
        ->toBe('Plain :x')
        ->and($phrases->say('b.c', ['n' => 3, 'name' => ':n and :x']))
        ->toBe('3 of :n and :x, :n and :x')
        ->and($phrases->say('d.e.f'))
        ->toBe('deep')
        ->and([$phrases->has('b.c'), $phrases->has('b'), $phrases->has('b.x'), $phrases->has('a.c')])
        ->toBe([true, false, false, false])
        ->and(fn () => $phrases->say('b.x', ['n' => 1]))
        ->toThrow(LogicException::class, 'There are no words for b.x in en.');
});

test('days and weekdays as a language writes them', function (string $language, array $days, array $weekdays) {
    $phrases = new Phrases($language, []);
    $of = fn (string $iso): string => $phrases->day(LocalDate::parse($iso));
    expect([$of('2027-02-18'), $of('2027-09-05'), $of('2027-02-18')])
        ->toBe([...$days, $days[0]])
        ->and([$phrases->weekday(1), $phrases->weekday(4), $phrases->weekday(7)])
        ->toBe($weekdays);
})->with([
    ['en', ['Thu 18 Feb', 'Sun 5 Sep'], ['Mon', 'Thu', 'Sun']],
    ['es', ['jue 18 feb', 'dom 5 sept'], ['lun', 'jue', 'dom']],
    ['de', ['Do 18 Feb', 'So 5 Sept'], ['Mo', 'Do', 'So']],
]);
