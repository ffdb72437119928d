<?php

use Nomada\Core\Registration\Address;
use Nomada\Core\Registration\Matching;
use Nomada\Core\Registration\Registering;
use Nomada\Core\Registration\Registrant;
use Nomada\Core\Registration\RosterEntry;
use Nomada\Core\Registration\Shut;
use Nomada\Core\Registration\Verdict;
use Nomada\Core\Term\LocalDate;
use Tests\Core\Scenario;

test('it opens on its first day, closes after its last, and says so', function () {
    $r = new Registering(opens: LocalDate::parse('2027-02-08'), closes: LocalDate::parse('2027-02-12'), seats: 24);

    expect($r->shut(LocalDate::parse('2027-02-07')))
        ->toEqual(new Shut('opens', LocalDate::parse('2027-02-08')))
        ->and($r->shut(LocalDate::parse('2027-02-08')))
        ->toBeNull()
        ->and($r->shut(LocalDate::parse('2027-02-12')))
        ->toBeNull()
        ->and($r->shut(LocalDate::parse('2027-02-13')))
        ->toEqual(new Shut('closed', LocalDate::parse('2027-02-12')))
        ->and($r->say(Scenario::phrases()))
        ->toBe('Students register once; a member of staff approves each registration; from Mon 8 Feb until Fri 12 '
            .'Feb; 24 seats')
        ->and((new Registering())->shut(LocalDate::parse('2027-02-13')))
        ->toBeNull();
});

test('it is said as it is, in the language of whoever reads it', function (
    Registering $r,
    string $english,
    string $spanish,
) {
    expect([$r->say(Scenario::phrases()), $r->say(Scenario::phrases('es'))])->toBe([$english, $spanish]);
})->with(function (): array {
    $day = fn (int $n): LocalDate => LocalDate::parse("2027-02-0$n");

    return [
        'as it comes' => [
            new Registering(),
            'Students register once; a member of staff approves each registration',
            'Cada estudiante se inscribe una vez; el centro aprueba cada inscripción',
        ],
        'for each session, till a day' => [
            new Registering(each: true, acceptsCertain: true, closes: $day(8)),
            'Students register for each session; exact matches are accepted automatically; until Mon 8 Feb',
            'Cada estudiante se inscribe en cada sesión; las coincidencias exactas se aceptan automáticamente; hasta '
                .'el lun 8 feb',
        ],
        'from a day, one seat' => [
            new Registering(opens: $day(9), seats: 1),
            'Students register once; a member of staff approves each registration; from Tue 9 Feb; 1 seat',
            'Cada estudiante se inscribe una vez; el centro aprueba cada inscripción; desde el mar 9 feb; 1 plaza',
        ],
    ];
});

test('it is kept and read back as it was', function (Registering $r) {
    expect(Registering::from($r->toArray()))->toEqual($r);
})->with([
    [new Registering()],
    [new Registering(true, true, null, LocalDate::parse('2027-03-01'), 1)],
    [new Registering(false, true, LocalDate::parse('2027-02-01'))],
]);

test('what contradicts itself is refused', function () {
    expect(fn () => new Registering(opens: LocalDate::parse('2027-02-09'), closes: LocalDate::parse('2027-02-08')))
        ->toFault('closes before it opens')
        ->and(fn () => new Registering(seats: 0))
        ->toFault('at least one seat');
});

test('seats are held by who is accepted or waits', function () {
    expect((new Registering(seats: 2))->hasSeat(1))
        ->toBeTrue()
        ->and((new Registering(seats: 2))->hasSeat(2))
        ->toBeFalse()
        ->and((new Registering())->hasSeat(100000))
        ->toBeTrue();
});

test(
    'for random queues: nobody of a roster is given twice, the order of arrival changes no verdict that is certain, '.
        'and an own account wins',
    function () {
        mt_srand(5);
        $given = ['Alba', 'Bruno', 'Uxía', 'Íñigo', 'María José'];
        $family = ['Sanz', 'de la Riba', 'Piñeiral', 'Øster'];
        for ($round = 0; $round < Scenario::rounds(200); $round++) {
            $roster = $queue = [];
            for ($p = 1; $p <= 6; $p++) {
                // Some share a family's address, some a name.
                $name = $given[mt_rand(0, 4)].' '.$family[mt_rand(0, 3)];
                $address = mt_rand(0, 3) === 0 ? 'home@postbox.example' : "p$p@school.example";
                $roster[] = new RosterEntry($p, $name, $address, 1, 1);
                $queue[] = new Registrant(
                    $p,
                    mt_rand(0, 2) === 0 ? mb_strtoupper($name) : $name,
                    mt_rand(0, 4) === 0 ? 'other@postbox.example' : $address,
                    1,
                    1,
                    $p,
                );
            }
            $queue[] = new Registrant(7, $roster[0]->name->typed, $roster[0]->address, 1, 1, 99);
            $found = (new Matching($roster, ['school.example']))->findings($queue);
            $given1 = array_filter(
                array_map(
                    fn ($f): ?int => in_array(
                        $f->verdict,
                        [Verdict::Certain, Verdict::CheckName, Verdict::CheckAddress],
                        true,
                    )
                        ? $f->entry?->person
                        : null,
                    $found,
                ),
            );
            expect($given1)->toBe(array_unique($given1));
            $again = (new Matching($roster, ['school.example']))->findings(array_reverse($queue));
            $certain = fn (array $of): int => count(
                array_filter($of, fn ($f): bool => $f->verdict === Verdict::Certain),
            );
            expect($certain($again))->toBe($certain($found));
            // The one who typed the first student in from another account never takes that student's place from the
            // student.
            if (
                $queue[0]->address === Address::normal($roster[0]->address) &&
                $found[0]->verdict === Verdict::Certain &&
                $found[0]->entry?->person === 1
            ) {
                expect($found[6]->verdict)->not->toBe(Verdict::Certain);
                if ($found[6]->entry?->person === 1) {
                    expect($found[6]->verdict)->toBe(Verdict::AnotherAccount);
                }
            }
        }
    },
);
