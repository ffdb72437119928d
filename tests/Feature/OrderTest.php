<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Order;

/** As people look them up; by their codes they would stand: Maths 10, Maths 2, Zabalo, de la Vega, Ágreda. */
const LOOKED_UP = ['Ágreda', 'Algebra', 'de la Vega', 'Maths 2', 'maths 10', 'Ñandú', 'Zabalo'];

test('names stand as people look them up, in PHP and in the database alike', function () {
    $this->school();
    $mixed = LOOKED_UP;
    shuffle($mixed);
    $sorted = $mixed;
    usort($sorted, fn (string $a, string $b): int => Order::key($a) <=> Order::key($b));
    expect($sorted)
        ->toBe(LOOKED_UP)
        ->and(array_keys(Order::byKey(array_flip($mixed))))
        ->toBe(LOOKED_UP)
        ->and(Order::key('a', 'z') < Order::key('ab', 'a'))
        ->toBeTrue();
    $section = Section::query()->firstOrFail();
    DB::table('enrolments')->where('section_id', $section->id)->delete();
    foreach ($mixed as $n => $name) {
        $person = Person::query()
            ->firstOrFail()
            ->replicate(['sign_in', 'feed_hash', 'feed_secret']);
        $person->forceFill(['sourced_id' => "X-$n", 'family_name' => $name, 'email' => "x$n@a.example"])->save();
        DB::table('enrolments')->insert([
            'section_id' => $section->id,
            'person_id' => $person->id,
            'sourced_id' => "XE-$n",
            'role' => 'student',
        ]);
    }
    expect(
        Person::query()->where('sourced_id', 'like', 'X-%')->orderBy('family_name')->pluck('family_name')->all(),
    )->toBe(LOOKED_UP);
    $this->as('A-1')
        ->get("/sections/$section->sourced_id")
        ->assertSeeInOrder(LOOKED_UP);
});

test('sections stand by year, then by title, numbers as numbers', function () {
    $this->school();
    $of = fn (string $year, string $title, int $id): string => (new Section())
        ->forceFill(['year' => $year, 'title' => $title, 'id' => $id])
        ->order();
    $in = [$of('7', 'Maths 2', 9), $of('7', 'Maths 10', 1), $of('10', 'Art', 1), $of('10', 'Art', 2)];
    $sorted = $in;
    sort($sorted, SORT_STRING);
    expect($sorted)->toBe($in);
});
