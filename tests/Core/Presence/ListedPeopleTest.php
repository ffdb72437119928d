<?php

use Nomada\Core\Presence\ListedPeople;
use Nomada\Core\Presence\ListedPerson;

/** A small class with a family that shares an address, and two of one name. */
function listedClass(): ListedPeople
{
    return new ListedPeople([
        new ListedPerson('S-1', 'Galia Zabalo', 'galia@school.example'),
        new ListedPerson('S-2', 'Ana Quiroga', 'quiroga@home.example'),
        new ListedPerson('S-3', 'Leo Quiroga', 'quiroga@home.example'),
        new ListedPerson('S-4', 'Rui Mestre', ''),
        new ListedPerson('S-5', 'Rui Mestre', 'rui@school.example'),
        new ListedPerson('S-6', 'Farid Soutiño', 'farid@school.example'),
    ]);
}

test('whom a line of a list certainly means', function (string $person, string $address, ?string $is) {
    expect(listedClass()->certain($person, $address))->toBe($is);
})->with([
    'an id' => ['S-4', '', 'S-4'],
    'an id, whatever address stands beside it' => ['S-4', 'galia@school.example', 'S-4'],
    'an address alone' => ['', ' Galia@School.example ', 'S-1'],
    'an address in the column of names' => ['galia@school.example', '', 'S-1'],
    'an address, and a name that is like it' => ['Zabalo, Galia', 'galia@school.example', 'S-1'],
    'an address of somebody with another name' => ['Farid Soutiño', 'galia@school.example', null],
    'a family\'s address alone' => ['', 'quiroga@home.example', null],
    'a family\'s address, and whose' => ['Leo Quiroga', 'quiroga@home.example', 'S-3'],
    'a family\'s address, with a slip in the name' => ['Ana Quirogo', 'quiroga@home.example', 'S-2'],
    'a family\'s address, and nobody of it' => ['Galia Zabalo', 'quiroga@home.example', null],
    'an unknown address, and one\'s name' => ['Galia Zabalo', 'galia@elsewhere.example', 'S-1'],
    'a name in another order, without its marks' => ['soutino farid', '', 'S-6'],
    'a name that two have' => ['Rui Mestre', '', null],
    'a name that two have, and whose address' => ['Rui Mestre', 'rui@school.example', 'S-5'],
    'a part of a name' => ['Galia', '', null],
    'nothing' => ['', '', null],
    'an address that nobody has' => ['nobody@school.example', '', null],
]);

test('whom it may mean, the likest first', function (string $person, string $address, array $near) {
    expect(listedClass()->near($person, $address))->toBe($near);
})->with([
    'a slip' => ['Galia Zavalo', '', ['S-1']],
    'a part of a name' => ['Quiroga', '', ['S-2', 'S-3']],
    'an address counts for more than a name' => ['Ana Quiroga', 'galia@school.example', ['S-1', 'S-2']],
    'both count' => ['Leo Quiroga', 'quiroga@home.example', ['S-3', 'S-2']],
    'an address in the column of names, and what stands before its sign' => [
        'farid.soutino@elsewhere.example',
        '',
        ['S-6'],
    ],
    'an address as the person' => ['quiroga@home.example', '', ['S-2', 'S-3']],
    'nobody' => ['Somebody Else', '', []],
]);
