<?php

use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\Membership;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\SessionRole;

test('a part holds from its first to its last day, and says what was before and what comes', function (
    ?int $from,
    ?int $until,
    array $on,
) {
    $belonging = new Belonging(7, [new Membership(MembershipRole::Student, $from, $until)]);

    expect(array_map($belonging->on(...), array_keys($on)))->toBe(array_values($on));
})->with([
    'for the whole term' => [null, null, [1 => SessionRole::Student, 99 => SessionRole::Student]],
    'a leaver' => [null, 20, [19 => SessionRole::Student, 20 => SessionRole::Student, 21 => SessionRole::Left]],
    'a joiner' => [20, null, [19 => SessionRole::Ahead, 20 => SessionRole::Student, 99 => SessionRole::Student]],
    'for a while' => [20, 22, [19 => SessionRole::Ahead, 22 => SessionRole::Student, 23 => SessionRole::Left]],
]);

test('each role is what it is, and a substitute takes the teacher\'s place for that session only', function (
    MembershipRole $role,
    SessionRole $usually,
    SessionRole $substituted,
) {
    $belonging = new Belonging(7, [new Membership($role)]);

    expect($belonging->on(5))
        ->toBe($usually)
        ->and($belonging->on(5, 8))
        ->toBe($substituted)
        ->and($belonging->on(5, 7))
        ->toBe(SessionRole::Host);
})->with([
    [MembershipRole::Teacher, SessionRole::Host, SessionRole::Absent],
    [MembershipRole::CoTeacher, SessionRole::Host, SessionRole::Host],
    [MembershipRole::Student, SessionRole::Student, SessionRole::Student],
    [MembershipRole::Observer, SessionRole::Observer, SessionRole::Observer],
    [MembershipRole::Substitute, SessionRole::None, SessionRole::None],
]);

test('whoever has no part is nobody, but for the session that they take', function () {
    expect((new Belonging(7))->on(5))
        ->toBe(SessionRole::None)
        ->and((new Belonging(7))->on(5, 7))
        ->toBe(SessionRole::Host)
        ->and((new Belonging(null))->on(5, null))
        ->toBe(SessionRole::None);
});

test('of several parts the one that may most counts, and one to come before one that is over', function () {
    $observerThenStudent = new Belonging(7, [
        new Membership(MembershipRole::Observer),
        new Membership(MembershipRole::Student, 10),
    ]);
    $cameBack = new Belonging(7, [
        new Membership(MembershipRole::Student, null, 5),
        new Membership(MembershipRole::Student, 10),
    ]);
    $both = new Belonging(7, [
        new Membership(MembershipRole::Student),
        new Membership(MembershipRole::CoTeacher, 3, 4),
    ]);

    expect($observerThenStudent->on(9))
        ->toBe(SessionRole::Observer)
        ->and($observerThenStudent->on(10))
        ->toBe(SessionRole::Student)
        ->and($cameBack->on(5))
        ->toBe(SessionRole::Student)
        ->and($cameBack->on(7))
        ->toBe(SessionRole::Ahead)
        ->and($both->on(4))
        ->toBe(SessionRole::Host)
        ->and($both->on(5))
        ->toBe(SessionRole::Student);
});

test('it is whole where some part has no bounds, and a substitute\'s never is', function () {
    expect(
        (new Belonging(7, [
            new Membership(MembershipRole::Student, 1),
            new Membership(MembershipRole::Observer),
        ]))->isWhole(),
    )
        ->toBeTrue()
        ->and((new Belonging(7, [new Membership(MembershipRole::Student, 1)]))->isWhole())
        ->toBeFalse()
        ->and((new Belonging(7, [new Membership(MembershipRole::Student, null, 1)]))->isWhole())
        ->toBeFalse()
        ->and((new Belonging(7, [new Membership(MembershipRole::Substitute)]))->isWhole())
        ->toBeFalse();
});

test('what each standing may', function () {
    $theirs = array_filter(SessionRole::cases(), fn (SessionRole $s): bool => $s->isTheirs());
    $look = array_filter(SessionRole::cases(), fn (SessionRole $s): bool => $s->looks());

    expect(array_values($theirs))
        ->toBe([SessionRole::Host, SessionRole::Student, SessionRole::Observer])
        ->and(array_values($look))
        ->toBe([SessionRole::Observer, SessionRole::Absent])
        ->and(MembershipRole::Observer->words())
        ->toBe('an observer')
        ->and(MembershipRole::CoTeacher->words())
        ->toBe('a co-teacher');
});

test('a session for chosen students is those students\' and everybody\'s who hosts or looks', function (
    ?int $person,
    array $roles,
    SessionRole $is,
) {
    $belonging = new Belonging($person, array_map(fn (MembershipRole $r): Membership => new Membership($r), $roles));

    expect($belonging->on(5, null, [7, 9]))->toBe($is);
})->with([
    'chosen' => [7, [MembershipRole::Student], SessionRole::Student],
    'not chosen' => [8, [MembershipRole::Student], SessionRole::NotChosen],
    'not chosen, and looks at another section' => [
        8,
        [MembershipRole::Student, MembershipRole::Observer],
        SessionRole::Observer,
    ],
    'the teacher' => [8, [MembershipRole::Teacher], SessionRole::Host],
    'let in by hand, without a part' => [8, [], SessionRole::NotChosen],
    'named, without a part' => [7, [], SessionRole::NotChosen],
    'a guest' => [null, [], SessionRole::None],
]);
