<?php

use Nomada\Core\Fault;
use Nomada\Core\Term\TypedTime;
use Tests\Support\English;

test('times are read as people type them', function (string $typed, string $meant) {
    $time = TypedTime::read($typed);

    expect(TypedTime::format($time->minute))->toBe($meant)->and($time->question)->toBeNull();
})->with([
    ['9', '09:00'],
    ['9:05', '09:05'],
    ['0905', '09:05'],
    ['9.05am', '09:05'],
    ['11:47', '11:47'],
    [' 2 pm ', '14:00'],
    ['noon', '12:00'],
    ['12.30pm', '12:30'],
    ['21:00', '21:00'],
    ['14h30', '14:30'],
    ['915', '09:15'],
    ['9,30', '09:30'],
    ['half past 9', '09:30'],
    ['quarter to 10', '09:45'],
    ['Quarter past 2pm', '14:15'],
]);

test('what reads two ways, or like a slip, is asked about', function (string $typed, string $words) {
    expect(English::of(TypedTime::read($typed)->question))->toContain($words);
})->with([
    ['3', '15:00 or 03:00?'],
    ['1:30', '13:30 or 01:30?'],
    ['0530', '05:30 is before 07:00'],
    ['22:00', '22:00 is after 21:00'],
    ['12am', '00:00 is before 07:00'],
    ['10pm', '22:00 is after 21:00'],
]);

test('what is no time of day is refused', function (string $typed) {
    expect(fn () => TypedTime::read($typed, 'start_time'))->toThrow(Fault::class);
})->with(['', 'ten', '25', '9:61', '13pm', '0am', '9:5', '9-30', '123456', '9;DROP']);
