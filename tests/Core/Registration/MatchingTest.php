<?php

use Nomada\Core\Registration\Address;
use Nomada\Core\Registration\Finding;
use Nomada\Core\Registration\JaroWinkler;
use Nomada\Core\Registration\Matching;
use Nomada\Core\Registration\NameRelation;
use Nomada\Core\Registration\PersonName;
use Nomada\Core\Registration\Registrant;
use Nomada\Core\Registration\RosterEntry;
use Nomada\Core\Registration\Verdict;
use Tests\Core\Scenario;
use Tests\Support\English;

test('names are compared without marks, in any order', function (string $a, string $b, NameRelation $relation) {
    expect((new PersonName($a))->compare(new PersonName($b)))
        ->toBe($relation)
        ->and((new PersonName($b))->compare(new PersonName($a)))
        ->toBe($relation);
})->with([
    'marks and case' => ['GALÍA ZÁBALO', 'Galia Zabalo', NameRelation::Equal],
    'order and comma' => ['Zabalo, Galia', 'Galia Zabalo', NameRelation::Equal],
    'letters of their own' => ['Łukasz Strøm', 'Lukasz Strom', NameRelation::Equal],
    'a double family name' => ['Lúa Piñeiral Castro', 'Lua Pineiral', NameRelation::Containing],
    'a particle' => ['Ana de la Torre', 'Ana Torre', NameRelation::Containing],
    'a second given name' => ['Rui Miguel Mestre', 'Rui Mestre', NameRelation::Containing],
    'a hyphen' => ['Ana-Belén Ruiz', 'Ana Belen Ruiz', NameRelation::Equal],
    'one letter wrong' => ['Galia Zabala', 'Galia Zabalo', NameRelation::Near],
    'the first letter wrong' => ['Galia Sabalo', 'Galia Zabalo', NameRelation::Near],
    'two letters swapped' => ['Gaila Zabalo', 'Galia Zabalo', NameRelation::Near],
    'another given name' => ['Marta Zabalo', 'Galia Zabalo', NameRelation::Different],
    'nobody' => ['', 'Galia Zabalo', NameRelation::Different],
    'two letters only' => ['Li', 'Li Wei', NameRelation::Different],
]);

test('the similarity is that of the literature', function (string $a, string $b, float $is) {
    expect(round(JaroWinkler::of($a, $b), 3))
        ->toBe($is)
        ->and(JaroWinkler::of($a, $b))
        ->toEqualWithDelta(JaroWinkler::of($b, $a), 1e-9);
})->with([
    ['martha', 'marhta', 0.961],
    ['dwayne', 'duane', 0.84],
    ['dixon', 'dicksonx', 0.813],
    ['same', 'same', 1.0],
    ['abc', 'xyz', 0.0],
    ['', 'x', 0.0],
]);

test('addresses are compared trimmed, folded, without a tag', function () {
    expect(Address::normal(' Galia+Class@School.Example '))
        ->toBe('galia@school.example')
        ->and(Address::isSchools('x@SCHOOL.example', ['school.example']))
        ->toBeTrue()
        ->and(Address::isSchools('x@school.example.evil', ['school.example']))
        ->toBeFalse()
        ->and(Address::normal('no address'))
        ->toBe('no address');
});

/** @return list<string> "verdict person" */
function verdicts(array $queue, array $roster): array
{
    return array_map(
        fn (Finding $f): string => trim($f->verdict->value.' '.($f->entry->person ?? '')),
        (new Matching($roster, ['school.example']))->findings($queue),
    );
}

function onRoster(
    int $person,
    string $name,
    string $address,
    int $section = 1,
    bool $isRegistered = false,
): RosterEntry {
    return new RosterEntry($person, $name, $address, $section, 7, $isRegistered);
}

function wants(int $id, string $name, string $address, int $section = 1): Registrant
{
    return new Registrant($id, $name, $address, $section, 7);
}

test('every verdict', function () {
    $roster = [
        onRoster(1, 'Galia Zabalo', 'galia@school.example'),
        onRoster(2, 'Rui Mestre', 'rui@school.example'),
        onRoster(3, 'Teo Kallas', 'teo@school.example'),
        onRoster(4, 'Lúa Piñeiral', 'lua@school.example', 2),
        onRoster(5, 'Ida Berg', 'ida@school.example', 1, true),
    ];

    expect(
        verdicts(
            [
                wants(1, 'Zabalo Galia', 'Galia+x@school.example'),
                wants(2, 'Somebody Else', 'rui@school.example'),
                wants(3, 'Teo Kallas', 'teo.k@home.example'),
                wants(4, 'Lua Pineiral', 'lua@school.example'),
                wants(5, 'Ida Berg', 'ida@school.example'),
                wants(6, 'Who Knows', 'who@home.example'),
            ],
            $roster,
        ),
    )->toBe(['certain 1', 'check-name 2', 'check-address 3', 'another-section 4', 'already 5', 'unknown']);
});

test('of twins and a shared family address each gets their own', function () {
    $roster = [onRoster(1, 'Ana Ferro', 'ferro@home.example'), onRoster(2, 'Eva Ferro', 'ferro@home.example')];

    expect(
        verdicts(
            [wants(1, 'Eva Ferro', 'ferro@home.example'), wants(2, 'Ana Ferro', 'ferro@home.example')],
            $roster,
        ),
    )
        ->toBe(['certain 2', 'certain 1'])
        // A name that is like both says nothing of either.
        ->and(verdicts([wants(1, 'Ferro', 'x@home.example')], $roster))
        ->toBe(['unknown']);
});

test('not the first come but the best match gets a student', function () {
    $roster = [onRoster(1, 'Galia Zabalo', 'galia@school.example')];

    expect(
        verdicts(
            [
                wants(1, 'Galia Zabalo', 'galia.private@home.example'),
                wants(2, 'Galia Zabalo', 'galia@school.example'),
            ],
            $roster,
        ),
    )->toBe(['unknown', 'certain 1']);
});

test('the evidence says why', function () {
    $found = (new Matching([onRoster(3, 'Teo Kallas', 'teo@school.example')], ['school.example']))->findings([
        wants(1, 'Teo Kalas', 'teo2@school.example'),
    ])[0];

    expect(English::said($found->why()))
        ->toBe('similar name, different email address of the school')
        ->and($found->shared())
        ->toBe(['teo']);
});

test('the assignment is the best there is, against trying all of them', function () {
    mt_srand(2027);
    for ($round = 0; $round < Scenario::rounds(150); $round++) {
        $n = mt_rand(1, 5);
        $m = mt_rand($n, 6);
        $cost = array_map(fn (): array => array_map(fn (): int => mt_rand(-40, 0), range(1, $m)), range(1, $n));
        $best = PHP_INT_MAX;
        $try = function (int $row, array $used, int $sum) use (&$try, &$best, $cost, $n, $m): void {
            if ($row === $n) {
                $best = min($best, $sum);

                return;
            }
            for ($j = 0; $j < $m; $j++) {
                if (! isset($used[$j])) {
                    $try($row + 1, $used + [$j => true], $sum + $cost[$row][$j]);
                }
            }
        };
        $try(0, [], 0);
        $found = Matching::hungarian($cost, $n, $m);
        expect(array_sum(array_map(fn (int $row): int => $cost[$row][$found[$row]], array_keys($found))))
            ->toBe($best)
            ->and(count(array_unique($found)))
            ->toBe($n);
    }
});

test('certain means certain: whose account it is counts, and brothers and sisters are told apart', function () {
    $roster = [
        onRoster(1, 'María Otero', 'otero@home.example'),
        onRoster(2, 'Martín Otero', 'otero@home.example'),
        onRoster(3, 'Teo Kallas', 'teo@school.example'),
    ];
    $by = fn (int $account, string $name, string $address): array => verdicts(
        [new Registrant(1, $name, $address, 1, 7, $account)],
        $roster,
    );
    expect($by(3, 'Teo Kallas', 'teo@school.example'))
        ->toBe(['certain 3'])
        // An impostor alone in the queue.
        ->and($by(9, 'Teo Kallas', 'teo@school.example'))
        ->toBe(['another-account 3'])
        ->and($by(9, 'Teo Kallas', 'teo@home.example'))
        ->toBe(['check-address 3'])
        // A sister's name that is near, from her own account, and from nobody's.
        ->and($by(1, 'Maria Otero', 'otero@home.example'))
        ->toBe(['certain 1'])
        ->and($by(2, 'María Otero', 'otero@home.example'))
        ->toBe(['another-account 1'])
        ->and(verdicts([wants(1, 'Mari Otero', 'otero@home.example')], $roster))
        ->toBe(['check-name 1']);
    // Both at once: the student is certain, anybody who typed them in is not.
    expect(
        verdicts(
            [
                new Registrant(1, 'Teo Kallas', 'teo@school.example', 1, 7, 9),
                new Registrant(2, 'Teo Kallas', 'teo@school.example', 1, 7, 3),
            ],
            $roster,
        ),
    )->toBe(['another-account 3', 'certain 3']);
});

/** One student with nothing but this evidence; what two registrants have of it says who gets them. */
const EVIDENCE = [
    'address and name' => ['Galia Zabalo', 'galia@school.example'],
    'address, part of the name' => ['Galia', 'galia@school.example'],
    'address, a name with a slip' => ['Galia Zabala', 'galia@school.example'],
    'address alone' => ['Somebody Else', 'galia@school.example'],
    'name, from the school' => ['Galia Zabalo', 'other@school.example'],
    'name' => ['Galia Zabalo', 'g@home.example'],
    'part of the name, from the school' => ['Galia', 'other@school.example'],
    'part of the name' => ['Galia', 'g@home.example'],
    'a slip, from the school' => ['Galia Zabala', 'other@school.example'],
    'a slip' => ['Galia Zabala', 'g@home.example'],
];

test(
    'who has more evidence gets the student, whoever came first, and an account only tells equals apart',
    function () {
        $roster = [onRoster(1, 'Galia Zabalo', 'galia@school.example')];
        $levels = array_keys(EVIDENCE);
        $of = fn (int $id, string $level, ?int $account): Registrant => new Registrant(
            $id,
            EVIDENCE[$level][0],
            EVIDENCE[$level][1],
            1,
            7,
            $account,
        );
        $given = function (Registrant $first, Registrant $second) use ($roster): array {
            return array_map(
                fn (Finding $f): bool => $f->entry !== null && $f->verdict !== Verdict::AnotherAccount,
                (new Matching($roster, ['school.example']))->findings([$first, $second]),
            );
        };
        foreach ($levels as $i => $better) {
            foreach (array_slice($levels, $i + 1) as $worse) {
                expect($given($of(1, $worse, null), $of(2, $better, null)))->toBe(
                    [false, true],
                    "$better before $worse",
                );
                expect($given($of(1, $worse, 1), $of(2, $better, null)))->toBe(
                    [false, true],
                    "$better, account of $worse",
                );
            }
            expect($given($of(1, $better, 9), $of(2, $better, 1)))->toBe([false, true], "the account at $better");
        }
    },
);

test('a student is found by what is left of a name with slips in it', function (string $typed, string $name) {
    expect(verdicts([wants(1, $typed, 'x@home.example')], [onRoster(1, $name, 'y@school.example')]))->toBe([
        'check-address 1',
    ]);
})->with([
    'the first three letters' => ['Kallas', 'Kalbas'],
    'the last three letters' => ['Bernardina', 'Vernardina'],
    'one whole word' => ['Bo Li', 'Li Bo Anders'],
    'short words' => ['Bo Li', 'Bo Lin'],
]);

test('of a student who has a place already, or sits in another section, the evidence is either', function (
    string $name,
    string $address,
    ?int $account,
    array $finds,
) {
    $roster = [
        onRoster(1, 'Ida Berg', 'ida@school.example', 1, true),
        onRoster(2, 'Teo Kallas', 'teo@school.example', 2),
        onRoster(3, 'Rui Mestre', 'rui@school.example', 1),
        // Of another course: never named.
        new RosterEntry(4, 'Ana Ferro', 'ana@school.example', 3, 8, false),
    ];
    $rival = new Registrant(2, 'Rui Mestre', 'rui@school.example', 1, 7, 3);
    $finding = (new Matching($roster, ['school.example']))->findings([
        new Registrant(1, $name, $address, 1, 7, $account),
        $rival,
    ])[0];
    expect([
        trim($finding->verdict->value.' '.($finding->entry->person ?? '')),
        $finding->sameAddress,
        $finding->name->value,
        $finding->isSchools,
    ])->toBe($finds);
})->with([
    'already, by both' => ['Ida Berg', 'ida@school.example', null, ['already 1', true, 'equal', true]],
    'already, by the address' => [
        'Nobody Known',
        'ida@school.example',
        null,
        ['already 1', true, 'different', true],
    ],
    'already, by the name' => ['Ida Berg', 'i@home.example', null, ['already 1', false, 'equal', false]],
    'a slip is not enough' => ['Ida Bergs', 'i@home.example', null, ['unknown', false, 'different', false]],
    'elsewhere, by both' => ['Teo Kallas', 'teo@school.example', null, ['another-section 2', true, 'equal', true]],
    'elsewhere, by the address' => [
        'Who Ever',
        'teo@school.example',
        null,
        ['another-section 2', true, 'different', true],
    ],
    'elsewhere, by the name' => [
        'Teo Kallas',
        't@home.example',
        null,
        ['another-section 2', false, 'equal', false],
    ],
    'elsewhere, with a slip' => ['Teo Kalles', 't@home.example', null, ['unknown', false, 'different', false]],
    'of another course' => ['Ana Ferro', 'ana@school.example', null, ['unknown', false, 'different', true]],
    'given to another, by both' => [
        'Rui Mestre',
        'rui@school.example',
        9,
        ['another-account 3', true, 'equal', true],
    ],
    'given to another, by the name' => [
        'Rui Mestre',
        'r@home.example',
        9,
        ['another-account 3', false, 'equal', false],
    ],
    'given to another, by the address' => [
        'No Body',
        'rui@school.example',
        9,
        ['another-account 3', true, 'different', true],
    ],
    'given to another, with a slip' => ['Rui Mestra', 'r@home.example', 9, ['unknown', false, 'different', false]],
    'without an account' => ['Rui Mestre', 'r@home.example', null, ['unknown', false, 'different', false]],
]);

test('a name that is like two students\' is nobody\'s, unless it is liker one of them', function () {
    $roster = [onRoster(1, 'Ana Ferro', 'a@school.example'), onRoster(2, 'Ana Ferro Rey', 'b@school.example')];
    expect(verdicts([wants(1, 'Ana Ferro', 'x@home.example')], $roster))
        ->toBe(['check-address 1'])
        ->and(verdicts([wants(1, 'Ferro', 'x@home.example')], $roster))
        ->toBe(['unknown']);
});

// Of what one registrant could be, each alone in the queue: who it is taken for.
test('of several students the one who fits best, and nobody who does not', function (
    string $typed,
    string $address,
    array $roster,
    string $is,
) {
    $students = [];
    foreach ($roster as $n => [$name, $of]) {
        $students[] = onRoster($n + 1, $name, $of);
    }
    expect(verdicts([new Registrant(1, $typed, $address, 1)], $students))->toBe([$is]);
    // In whatever order the roster has them.
    $last = count($students);
    $turned = array_map(
        fn (RosterEntry $e): RosterEntry => new RosterEntry(
            $last + 1 - $e->person,
            $e->name->typed,
            $e->address,
            $e->section,
        ),
        array_reverse($students),
    );
    $turnedIs = preg_replace_callback('/\d+$/', fn (array $m): string => (string) ($last + 1 - (int) $m[0]), $is);
    expect(verdicts([new Registrant(1, $typed, $address, 1)], $turned))->toBe([$turnedIs]);
})->with([
    'the first letters alone are no likeness' => [
        'Marcela Quist',
        'a@home.example',
        [['Marko Oyelaran', 'b@home.example']],
        'unknown',
    ],
    'two who have no address have not the same' => ['Ana Torres', '', [['Teo Kallas', '']], 'unknown'],
    'the address before an equal name' => [
        'Galia Zabalo',
        'mar@home.example',
        [['Galia Zabalo', 'galia@school.example'], ['Mar Otero', 'mar@home.example']],
        'check-name 2',
    ],
    'of one address the liker name' => [
        'Galia Zabala',
        'home@home.example',
        [['Teo Zabalo', 'home@home.example'], ['Galia Zabalo', 'home@home.example']],
        'check-name 2',
    ],
    'an equal name before one that holds it' => [
        'Lua Castro',
        'x@home.example',
        [['Lua Castro Pineiral', 'b@home.example'], ['Lua Castro', 'c@home.example']],
        'check-address 2',
    ],
    'one that holds it before one that is near' => [
        'Lua Pineiral Castro',
        'x@home.example',
        [['Lua Pineral Castro', 'b@home.example'], ['Lua Pineiral', 'c@home.example']],
        'check-address 2',
    ],
]);

test(
    'of two alike the one with the school\'s address is taken for the student, or whose own account it is',
    function () {
        $student = [onRoster(1, 'Galia Zabalo', 'galia@school.example')];
        $home = wants(1, 'Galia Zabala', 'a@home.example');
        expect(verdicts([$home, wants(2, 'Galia Zabala', 'b@school.example')], $student))
            ->toBe(['unknown', 'check-address 1'])
            ->and(verdicts([$home, new Registrant(2, 'Galia Zabala', 'b@home.example', 1, 7, 1)], $student))
            ->toBe(['unknown', 'check-address 1'])
            // A liker name outweighs both.
            ->and(
                verdicts(
                    [
                        wants(1, 'Galia Zabalo', 'a@home.example'),
                        new Registrant(2, 'Galia Zabala', 'b@school.example', 1, 7, 1),
                    ],
                    $student,
                ),
            )
            ->toBe(['check-address 1', 'unknown']);
    },
);
