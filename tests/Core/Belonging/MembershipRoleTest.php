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

test('who teaches, hosts, sees and is expected', function () {
    $values = fn (array $roles): array => array_column($roles, 'value');
    expect($values(MembershipRole::TEACHING))->toBe(['teacher', 'co-teacher'])
        ->and($values(MembershipRole::HOSTING))->toBe(['teacher', 'co-teacher', 'substitute'])
        ->and($values(MembershipRole::SEEING))->toBe(['teacher', 'co-teacher', 'substitute', 'observer'])
        ->and($values(MembershipRole::ATTENDING))->toBe(['student', 'teacher', 'co-teacher']);
});
