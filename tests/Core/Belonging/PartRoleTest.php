<?php

use Nomada\Core\Belonging\PartRole;

test('what whoever has a part does', function (
    PartRole $role,
    bool $hosts,
    bool $serves,
    bool $studies,
    string $words,
) {
    expect([$role->hosts(), $role->serves(), $role->studies(), $role->words()])->toBe([
        $hosts,
        $serves,
        $studies,
        $words,
    ]);
})->with([
    [PartRole::Teacher, true, true, false, 'a teacher'],
    [PartRole::CoTeacher, true, true, false, 'a co-teacher'],
    [PartRole::Substitute, true, false, false, 'a substitute'],
    [PartRole::Student, false, false, true, 'a student'],
    [PartRole::Observer, false, false, false, 'an observer'],
]);

test('those who host, as the tables have them; a substitute is in none', function () {
    expect(PartRole::hosting())->toBe(['teacher', 'co-teacher']);
});
