<?php

use Nomada\Core\Fault;
use Nomada\Core\Publishing\MaterialFacts;
use Nomada\Core\Term\LocalDate;
use Tests\Core\Scenario;

test('a material is a title and an address of the web, of bounded length', function (
    string $title,
    string $address,
    string $field,
) {
    expect(fn () => MaterialFacts::typed($title, $address))->toThrow(
        fn (Fault $e) => expect($e->field)->toBe($field),
    );
})->with([
    ['', 'https://x.example', 'material_title'],
    ['  ', 'https://x.example', 'material_title'],
    [str_repeat('é', 121), 'https://x.example', 'material_title'],
    ['x', '', 'material_address'],
    ['x', 'x.example', 'material_address'],
    ['x', 'ftp://x.example', 'material_address'],
    ['x', 'https://x.example/'.str_repeat('a', 983), 'material_address'],
]);

test('what is typed well is taken as it is, without the spaces around it', function () {
    $one = MaterialFacts::typed(
        ' '.str_repeat('é', 120).' ',
        ' https://x.example/'.str_repeat('a', 982).' ',
    );
    expect([mb_strlen($one->title), strlen($one->address), $one->day])->toBe([120, 1000, null]);
    expect(MaterialFacts::typed('Map', 'http://x.example/m')->line(Scenario::phrases()))->toBe(
        'Map: http://x.example/m',
    );
    expect(
        (new MaterialFacts('Map', 'http://x', LocalDate::parse('2027-01-14')->day))->line(Scenario::phrases()),
    )->toBe('Thu 14 Jan, Map: http://x');
});
