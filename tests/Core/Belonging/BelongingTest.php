<?php

use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\Part;
use Nomada\Core\Belonging\PartRole;
use Nomada\Core\Belonging\Standing;

test('a part holds from its first to its last day, and says what was before and what comes', function (
    ?int $from,
    ?int $until,
    array $on,
) {
    $belonging = new Belonging(7, [new Part(PartRole::Student, $from, $until)]);

    expect(array_map($belonging->on(...), array_keys($on)))->toBe(array_values($on));
})->with([
    'for the whole term' => [null, null, [1 => Standing::Student, 99 => Standing::Student]],
    'a leaver' => [null, 20, [19 => Standing::Student, 20 => Standing::Student, 21 => Standing::Left]],
    'a joiner' => [20, null, [19 => Standing::Ahead, 20 => Standing::Student, 99 => Standing::Student]],
    'for a while' => [20, 22, [19 => Standing::Ahead, 22 => Standing::Student, 23 => Standing::Left]],
]);

test('each role is what it is, and a substitute takes the teacher\'s place for that session only', function (
    PartRole $role,
    Standing $usually,
    Standing $substituted,
) {
    $belonging = new Belonging(7, [new Part($role)]);

    expect($belonging->on(5))
        ->toBe($usually)
        ->and($belonging->on(5, 8))
        ->toBe($substituted)
        ->and($belonging->on(5, 7))
        ->toBe(Standing::Host);
})->with([
    [PartRole::Teacher, Standing::Host, Standing::Absent],
    [PartRole::CoTeacher, Standing::Host, Standing::Host],
    [PartRole::Student, Standing::Student, Standing::Student],
    [PartRole::Observer, Standing::Observer, Standing::Observer],
    [PartRole::Substitute, Standing::None, Standing::None],
]);

test('whoever has no part is nobody, but for the session that they take', function () {
    expect((new Belonging(7))->on(5))
        ->toBe(Standing::None)
        ->and((new Belonging(7))->on(5, 7))
        ->toBe(Standing::Host)
        ->and((new Belonging(null))->on(5, null))
        ->toBe(Standing::None);
});

test('of several parts the one that may most counts, and one to come before one that is over', function () {
    $observerThenStudent = new Belonging(7, [new Part(PartRole::Observer), new Part(PartRole::Student, 10)]);
    $cameBack = new Belonging(7, [new Part(PartRole::Student, null, 5), new Part(PartRole::Student, 10)]);
    $both = new Belonging(7, [new Part(PartRole::Student), new Part(PartRole::CoTeacher, 3, 4)]);

    expect($observerThenStudent->on(9))
        ->toBe(Standing::Observer)
        ->and($observerThenStudent->on(10))
        ->toBe(Standing::Student)
        ->and($cameBack->on(5))
        ->toBe(Standing::Student)
        ->and($cameBack->on(7))
        ->toBe(Standing::Ahead)
        ->and($both->on(4))
        ->toBe(Standing::Host)
        ->and($both->on(5))
        ->toBe(Standing::Student);
});

test('it is whole where some part has no bounds, and a substitute\'s never is', function () {
    expect((new Belonging(7, [new Part(PartRole::Student, 1), new Part(PartRole::Observer)]))->isWhole())
        ->toBeTrue()
        ->and((new Belonging(7, [new Part(PartRole::Student, 1)]))->isWhole())
        ->toBeFalse()
        ->and((new Belonging(7, [new Part(PartRole::Student, null, 1)]))->isWhole())
        ->toBeFalse()
        ->and((new Belonging(7, [new Part(PartRole::Substitute)]))->isWhole())
        ->toBeFalse();
});

test('what each standing may', function () {
    $theirs = array_filter(Standing::cases(), fn (Standing $s): bool => $s->isTheirs());
    $look = array_filter(Standing::cases(), fn (Standing $s): bool => $s->looks());

    expect(array_values($theirs))
        ->toBe([Standing::Host, Standing::Student, Standing::Observer])
        ->and(array_values($look))
        ->toBe([Standing::Observer, Standing::Absent])
        ->and(PartRole::Observer->words())
        ->toBe('an observer')
        ->and(PartRole::CoTeacher->words())
        ->toBe('a co-teacher');
});

test('a session for chosen students is those students\' and everybody\'s who hosts or looks', function (
    ?int $person,
    array $roles,
    Standing $is,
) {
    $belonging = new Belonging($person, array_map(fn (PartRole $r): Part => new Part($r), $roles));

    expect($belonging->on(5, null, [7, 9]))->toBe($is);
})->with([
    'chosen' => [7, [PartRole::Student], Standing::Student],
    'not chosen' => [8, [PartRole::Student], Standing::NotChosen],
    'not chosen, and looks at another section' => [8, [PartRole::Student, PartRole::Observer], Standing::Observer],
    'the teacher' => [8, [PartRole::Teacher], Standing::Host],
    'let in by hand, without a part' => [8, [], Standing::NotChosen],
    'named, without a part' => [7, [], Standing::NotChosen],
    'a guest' => [null, [], Standing::None],
]);
