<?php

use Nomada\Core\Fault;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\TypedSpan;
use Tests\Support\English;

test('from when to when is read as people type it', function (string $start, string $end, string $meant) {
    $span = TypedSpan::read($start, $end);

    expect(TypedTime::format($span->start).'-'.TypedTime::format($span->end))->toBe($meant);
})->with([
    ['9', '9:45', '09:00-09:45'],
    ['12:00', '1', '12:00-13:00'],
    ['12', '1.30', '12:00-13:30'],
    ['14:10', '3', '14:10-15:00'],
    ['9:05', '45 min', '09:05-09:50'],
    ['9:05', '45min', '09:05-09:50'],
    ['9:05', '+90', '09:05-10:35'],
    ['9:05', "40'", '09:05-09:45'],
    ['1200-1245', '', '12:00-12:45'],
    ['12–1', '', '12:00-13:00'],
    ['9 to 9:45', '', '09:00-09:45'],
    ['half past 9', 'quarter past 10', '09:30-10:15'],
    // Of two readings the one that comes after the start, and of two of those the earlier.
    ['15:00', '4', '15:00-16:00'],
    ['8', '9.30', '08:00-09:30'],
    [' 9 ', "\t9:45 ", '09:00-09:45'],
    [' 12  –  1 ', '', '12:00-13:00'],
    // What is typed into the first field is meant; the other still shows the times of before.
    ['10:00-10:30', '9:45', '10:00-10:30'],
]);

test('what cannot be read says how to write it, at its own field', function (
    string $start,
    string $end,
    string $field,
    string $words,
) {
    try {
        TypedSpan::read($start, $end, ['s', 'e']);
        $fault = null;
    } catch (Fault $e) {
        $fault = $e;
    }
    expect($fault?->field)->toBe($field)->and(English::of($fault))->toContain($words);
})->with([
    ['3', '16:00', 's', '15:00 or 03:00?'],
    ['12–noonish', '', 's', 'is not a time of day'],
    ['10:00', '9:00', 'e', '09:00 is not after 10:00'],
    ['10:00', '10:00', 'e', '10:00 is not after 10:00'],
    ['10:00', '+0', 'e', '10:00 is not after 10:00'],
    ['20:30', '22:00', 'e', '22:00 is after 21:00'],
    ['06:00', '07:00', 's', '06:00 is before 07:00'],
    ['23:50', '+45', 's', '23:50 is after 21:00'],
    ['9:00', '', 'e', 'is not a time of day'],
]);

test('an answer belongs to the text that it was given for', function () {
    $read = fn (string $start, string $sure) => TypedSpan::read($start, '16:30', ['s', 'e'], [$sure, '']);

    expect($read('3', TypedSpan::answer(900, '3'))->start)
        ->toBe(900)
        ->and($read('3', TypedSpan::answer(180, ' 3 '))->start)
        ->toBe(180)
        ->and(fn () => $read('4', TypedSpan::answer(900, '3')))
        ->toThrow(Fault::class)
        ->and(fn () => $read('3', '900'))
        ->toThrow(Fault::class)
        ->and(fn () => $read('3', TypedSpan::answer(960, '3')))
        ->toThrow(Fault::class);
});

test('for one session an unlikely time is noted, and only what reads two ways is asked', function () {
    $read = fn (string $start, string $end) => TypedSpan::read($start, $end, asks: false);
    $late = $read('21:30', '22:15');

    expect([$late->start, $late->minutes()])
        ->toBe([1290, 45])
        ->and(array_map(English::of(...), $late->doubts))
        ->toBe(['21:30 is after 21:00. Is that right?', '22:15 is after 21:00. Is that right?'])
        ->and($read('0600', '0645')->start)
        ->toBe(360)
        ->and(fn () => $read('3', '16:00'))
        ->toFault('15:00 or 03:00?')
        ->and(fn () => $read('23:30', '+45'))
        ->toFault('after midnight');
});

test('a session may end at midnight, and not a minute later', function () {
    $read = fn (string $end) => TypedSpan::read('23:00', $end, ['s', 'e'], asks: false);

    expect([$read('+60')->end, $read('+60')->minutes()])
        ->toBe([1440, 60])
        ->and(fn () => $read('+61'))
        ->toFault('after midnight', 'e')
        ->and(fn () => $read('22:59'))
        ->toFault('22:59 is not after 23:00', 'e');
});

test('each of the two is answered for itself', function () {
    $read = fn (array $sure) => TypedSpan::read('21:30', '22:15', ['s', 'e'], $sure);

    expect(TypedSpan::answer(1290, ' 21:30 '))
        ->toBe('1290 21:30')
        ->and($read(['1290 21:30', '1335 22:15'])->doubts)
        ->toBe([])
        ->and(fn () => $read(['1290 21:30', '1290 21:30']))
        ->toFault('22:15 is after 21:00', 'e')
        ->and(fn () => $read(['1335 22:15', '1335 22:15']))
        ->toFault('21:30 is after 21:00', 's')
        ->and(fn () => TypedSpan::read('3', '16:00', ['s', 'e'], asks: false))
        ->toFault('15:00 or 03:00', 's');
});
