<?php

use Nomada\Core\Belonging\MembershipRole;

test('what whoever has a part does', function (
    MembershipRole $role,
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
    [MembershipRole::Teacher, true, true, false, 'a teacher'],
    [MembershipRole::CoTeacher, true, true, false, 'a co-teacher'],
    [MembershipRole::Substitute, true, false, false, 'a substitute'],
    [MembershipRole::Student, false, false, true, 'a student'],
    [MembershipRole::Observer, false, false, false, 'an observer'],
]);

test('those who host, as the tables have them; a substitute is in none', function () {
    expect(MembershipRole::hosting())->toBe(['teacher', 'co-teacher']);
});
