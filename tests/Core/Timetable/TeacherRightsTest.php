<?php

use Nomada\Core\Timetable\Permission;
use Nomada\Core\Timetable\TeacherAct;
use Nomada\Core\Timetable\TeacherRights;

// act, hours until the session starts (- for none), whether the new time is clear = what the teacher may
const ANSWERS = <<<'T'
describe  -    no   yes
topics    -    no   yes
add       -    yes  yes
add       -    no   ask
move      25   yes  yes
move      24   yes  yes
move      23   yes  ask
move      -2   yes  ask
move      25   no   ask
series    900  yes  ask
T;

test('what a teacher may do depends on the act, the notice, and whether the new time is clear', function () {
    $now = 1_800_000_000;
    $read = fn (string $line): array => preg_split('/\s+/', trim($line));
    $lines = array_map($read, explode("\n", ANSWERS));
    $answers = array_map(
        fn (array $l): string => TeacherRights::usual()->answer(
            TeacherAct::from($l[0]),
            $now,
            $l[1] === '-' ? null : $now + 3600 * (int) $l[1],
            $l[2] === 'yes',
        )->value,
        $lines,
    );
    expect($answers)->toBe(array_column($lines, 3));
});

test('what the school forbids stays forbidden, and what it wants to be asked is asked', function (Permission $is) {
    foreach (TeacherAct::cases() as $act) {
        $rights = TeacherRights::from([$act->value => $is], 0);
        expect($rights->answer($act, 0, 9_999_999, true))->toBe($is);
    }
})->with([[Permission::No], [Permission::Ask], [Permission::Yes]]);

test('it is written and read back, and anything unknown is as usual', function () {
    $rights = TeacherRights::from(['move' => Permission::No, 'series' => Permission::Yes], 0);
    expect([
        TeacherRights::fromArray($rights->toArray()),
        TeacherRights::fromArray(null),
        TeacherRights::fromArray(['of' => ['move' => 'perhaps', 'fly' => 'yes']]),
    ])->toEqual([$rights, TeacherRights::usual(), TeacherRights::usual()]);
});

test('nothing at all is allowed only where everything is forbidden', function () {
    $none = array_fill_keys(array_column(TeacherAct::cases(), 'value'), Permission::No);
    expect([
        TeacherRights::from($none, 24)->allowAnything(),
        TeacherRights::from(['topics' => Permission::Ask] + $none, 24)->allowAnything(),
    ])->toBe([false, true]);
});

test('a notice is 0 to 720 hours', function (int $hours) {
    expect(fn () => TeacherRights::from([], $hours))->toFault('0 to 720', 'notice');
})->with([-1, 721]);
