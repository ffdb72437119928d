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

test('a time in every part: what it means, what else it may mean, and what is asked', function (
    string $typed,
    int $minute,
    ?int $or = null,
    bool $isEither = false,
    ?string $question = null,
) {
    $time = TypedTime::read($typed, 'start_time');
    expect([$time->minute, $time->or, $time->isEither, $time->question?->says, $time->question?->field])->toBe([
        $minute,
        $or,
        $isEither,
        $question,
        $question === null ? null : '',
    ]);
})->with([
    ['1', 780, 60, true, 'time.or'],
    ['6:59', 1139, 419, true, 'time.or'],
    ['0:59', 59, 779, false, 'time.early'],
    ['0659', 419, 1139, false, 'time.early'],
    ['6', 1080, 360, true, 'time.or'],
    ['7', 420],
    ['7am', 420],
    ['21', 1260],
    ['21:01', 1261, 541, false, 'time.late'],
    ['23:59', 1439, 719, false, 'time.late'],
    ['12p.m.', 720],
    ['8 a.m.', 480],
    ['1pm', 780],
    ['half past 9', 570],
    ['quarter to 1', 765],
    ['quarter to 1pm', 765],
    ['quarter to 13', 765],
    ['quarter to 1am', 45, 765, false, 'time.early'],
    ['quarter to 12pm', 705],
    ['quarter to 12 a.m.', 1425, 705, false, 'time.late'],
    ['quarter to 12', 705],
    ['quarter to 2', 825, 105, true, 'time.or'],
    ['quarter past 12', 735],
    ['quarter to 0', 1425, 705, false, 'time.late'],
]);

test('what cannot be a time says which hour it has, in the field where it was typed', function (
    string $typed,
    array $fault,
) {
    try {
        TypedTime::read($typed, 'end_time');
        $found = [];
    } catch (Fault $e) {
        $found = [$e->says, $e->field, $e->with];
    }
    expect($found)->toBe($fault);
})->with([
    ['soon', ['time.unread', 'end_time', ['typed' => 'soon']]],
    ['half to 10', ['time.unread', 'end_time', ['typed' => 'half to 10']]],
    ['24', ['time.hour', 'end_time', ['typed' => '24', 'hour' => '24']]],
    ['13 P.M.', ['time.hour', 'end_time', ['typed' => '13 P.M.', 'hour' => '13 pm']]],
    ['0 am', ['time.hour', 'end_time', ['typed' => '0 am', 'hour' => '0 am']]],
]);

test('minutes beyond a day begin anew', function () {
    expect(array_map(TypedTime::format(...), [0, 545, 1439, 1440, 1505]))->toBe([
        '00:00',
        '09:05',
        '23:59',
        '00:00',
        '01:05',
    ]);
});
