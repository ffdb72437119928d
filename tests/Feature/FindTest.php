<?php

beforeEach(fn () => $this->school());

test('sections, people and dates are found as they are typed', function (
    string $typed,
    string $kind,
    string $title,
) {
    $found = $this->as('A-1')
        ->getJson('/find?q='.urlencode($typed))
        ->assertOk()
        ->json('found');

    expect($found[0] ?? null)->toMatchArray(['kind' => $kind, 'title' => $title]);
})->with([
    ['marine', 'Section', 'Y8 Marine Science'],
    ['y8 mar', 'Section', 'Y8 Marine Science'],
    ['haddad mar', 'Section', 'Y8 Marine Science'],
    ['zabalo', 'Student', 'Galia Zabalo'],
    ['rui@school', 'Student', 'Rui Mestre'],
    ['2027-02-18', 'Date', 'Thu 18 Feb'],
    ['18 feb', 'Date', 'Thu 18 Feb'],
    ['February 18', 'Date', 'Thu 18 Feb'],
    ['thu', 'Date', 'Thu 11 Feb'],
    ['today', 'Date', 'Tue 9 Feb'],
    ['week 6', 'Week', 'Week 6'],
]);

test('what is nowhere is found nowhere, and signs of a search language are plain signs', function (string $typed) {
    expect(
        $this->as('A-1')
            ->getJson('/find?q='.urlencode($typed))
            ->assertOk()
            ->json('found'),
    )->toBe([]);
})->with(['', 'xyzzy', '%', '_______', "'; drop table people; --", '31 feb', 'week 99', '2031-01-01']);
