<?php

use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\Membership;
use Nomada\Core\Belonging\PartRole;
use Nomada\Core\Belonging\SessionRole;

test('a part holds from its first to its last day, and says what was before and what comes', function (
    ?int $from,
    ?int $until,
    array $on,
) {
    $belonging = new Belonging(7, [new Membership(PartRole::Student, $from, $until)]);

    expect(array_map($belonging->on(...), array_keys($on)))->toBe(array_values($on));
})->with([
    'for the whole term' => [null, null, [1 => SessionRole::Student, 99 => SessionRole::Student]],
    'a leaver' => [null, 20, [19 => SessionRole::Student, 20 => SessionRole::Student, 21 => SessionRole::Left]],
    'a joiner' => [20, null, [19 => SessionRole::Ahead, 20 => SessionRole::Student, 99 => SessionRole::Student]],
    'for a while' => [20, 22, [19 => SessionRole::Ahead, 22 => SessionRole::Student, 23 => SessionRole::Left]],
]);

test('each role is what it is, and a substitute takes the teacher\'s place for that session only', function (
    PartRole $role,
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
    [PartRole::Teacher, SessionRole::Host, SessionRole::Absent],
    [PartRole::CoTeacher, SessionRole::Host, SessionRole::Host],
    [PartRole::Student, SessionRole::Student, SessionRole::Student],
    [PartRole::Observer, SessionRole::Observer, SessionRole::Observer],
    [PartRole::Substitute, SessionRole::None, SessionRole::None],
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
        new Membership(PartRole::Observer),
        new Membership(PartRole::Student, 10),
    ]);
    $cameBack = new Belonging(7, [
        new Membership(PartRole::Student, null, 5),
        new Membership(PartRole::Student, 10),
    ]);
    $both = new Belonging(7, [new Membership(PartRole::Student), new Membership(PartRole::CoTeacher, 3, 4)]);

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
        (new Belonging(7, [new Membership(PartRole::Student, 1), new Membership(PartRole::Observer)]))->isWhole(),
    )
        ->toBeTrue()
        ->and((new Belonging(7, [new Membership(PartRole::Student, 1)]))->isWhole())
        ->toBeFalse()
        ->and((new Belonging(7, [new Membership(PartRole::Student, null, 1)]))->isWhole())
        ->toBeFalse()
        ->and((new Belonging(7, [new Membership(PartRole::Substitute)]))->isWhole())
        ->toBeFalse();
});

test('what each standing may', function () {
    $theirs = array_filter(SessionRole::cases(), fn (SessionRole $s): bool => $s->isTheirs());
    $look = array_filter(SessionRole::cases(), fn (SessionRole $s): bool => $s->looks());

    expect(array_values($theirs))
        ->toBe([SessionRole::Host, SessionRole::Student, SessionRole::Observer])
        ->and(array_values($look))
        ->toBe([SessionRole::Observer, SessionRole::Absent])
        ->and(PartRole::Observer->words())
        ->toBe('an observer')
        ->and(PartRole::CoTeacher->words())
        ->toBe('a co-teacher');
});

test('a session for chosen students is those students\' and everybody\'s who hosts or looks', function (
    ?int $person,
    array $roles,
    SessionRole $is,
) {
    $belonging = new Belonging($person, array_map(fn (PartRole $r): Membership => new Membership($r), $roles));

    expect($belonging->on(5, null, [7, 9]))->toBe($is);
})->with([
    'chosen' => [7, [PartRole::Student], SessionRole::Student],
    'not chosen' => [8, [PartRole::Student], SessionRole::NotChosen],
    'not chosen, and looks at another section' => [
        8,
        [PartRole::Student, PartRole::Observer],
        SessionRole::Observer,
    ],
    'the teacher' => [8, [PartRole::Teacher], SessionRole::Host],
    'let in by hand, without a part' => [8, [], SessionRole::NotChosen],
    'named, without a part' => [7, [], SessionRole::NotChosen],
    'a guest' => [null, [], SessionRole::None],
]);
