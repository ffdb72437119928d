<?php

use Nomada\Core\Publishing\ItemName;
use Nomada\Core\Publishing\Place;
use Tests\Support\English;

test('what stands somewhere is named by its key, in words of the reader', function (
    Place $place,
    string $key,
    string $label,
    string $code,
    string $words,
) {
    $name = ItemName::of($place, $key, $label);

    expect($name->code)->toBe($code)->and(English::said($name))->toBe($words);
})->with([
    'at the top' => [Place::CoursePage, '8MAR/pinned', 'any', 'item.pinned', 'Pinned: next session'],
    'a week' => [Place::CoursePage, '8MAR/week-12', 'any', 'item.week', 'Week 12'],
    'a section with a slash' => [Place::CoursePage, '8/MAR/week-5', 'any', 'item.week', 'Week 5'],
    'a room' => [
        Place::CoursePage,
        '8MAR/drop-in-3',
        'Drop-in room: Help: now',
        'item.room',
        'Drop-in room: Help: now',
    ],
    'a room that says otherwise' => [Place::CoursePage, '8MAR/drop-in-3', 'Help', 'item.own', 'Help'],
    'the first post' => [Place::ClassStream, '8MAR/opening', 'any', 'item.opening', 'Opening post'],
    'changes' => [Place::ClassStream, '8MAR/change-41', 'any', 'item.change', 'Changes, post 41'],
    'no week' => [Place::CoursePage, '8MAR/week-x', 'Added by hand', 'item.own', 'Added by hand'],
    'a week and more' => [Place::CoursePage, '8MAR/week-1b', 'Added by hand', 'item.own', 'Added by hand'],
    'somebody\'s calendar' => [Place::Calendar, 'S-1/7f-1', 'Galia Zabalo', 'item.own', 'Galia Zabalo'],
    'whatever its UID is' => [Place::Calendar, 'S-1/opening', 'Galia Zabalo', 'item.own', 'Galia Zabalo'],
    'and a week\'s' => [Place::Calendar, 'S-1/week-3', 'Galia Zabalo', 'item.own', 'Galia Zabalo'],
]);
