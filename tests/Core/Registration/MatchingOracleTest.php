<?php

use Nomada\Core\Registration\Address;
use Nomada\Core\Registration\Finding;
use Nomada\Core\Registration\Matching;
use Nomada\Core\Registration\NameRelation;
use Nomada\Core\Registration\PersonName;
use Nomada\Core\Registration\Registrant;
use Nomada\Core\Registration\RosterEntry;
use Nomada\Core\Registration\Verdict;
use Tests\Core\Scenario;

/**
 * What one registrant and one student are worth to each other, written out as a table: the same address first, then the
 * name, then an address of the school's, and the account that typed where all of that is alike.
 */
function worth(Registrant $r, RosterEntry $e): int
{
    $name = (new PersonName($r->name->typed))->compare(new PersonName($e->name->typed));
    $by = match (true) {
        $r->address === $e->address && $r->address !== '' => [
            'equal' => 40,
            'containing' => 30,
            'near' => 20,
            'different' => 10,
        ],
        str_ends_with($r->address, '@school.example') => [
            'equal' => 7,
            'containing' => 5,
            'near' => 3,
            'different' => 0,
        ],
        default => ['equal' => 6, 'containing' => 4, 'near' => 2, 'different' => 0],
    };
    $worth = $by[$name->value];

    return $e->isRegistered || $worth === 0 ? 0 : 2 * $worth + ($r->account === $e->person ? 1 : 0);
}

/**
 * The most that the whole queue can be worth, by trying every way to give a student to each.
 *
 * @param  list<Registrant>  $queue
 * @param  list<RosterEntry>  $roster
 */
function mostWorth(array $queue, array $roster): int
{
    if ($queue === []) {
        return 0;
    }
    $first = array_shift($queue);
    $best = mostWorth($queue, $roster);
    foreach ($roster as $i => $entry) {
        $own = $entry->section === $first->section ? worth($first, $entry) : 0;
        if ($own > 0) {
            $rest = $roster;
            unset($rest[$i]);
            $best = max($best, $own + mostWorth($queue, array_values($rest)));
        }
    }

    return $best;
}

test(
    'of every queue the whole is given out as well as it can be, nobody twice, and each verdict fits its evidence',
    function () {
        mt_srand(7302);
        $names = [
            'Galia Zabalo',
            'Gael Zabalo',
            'Galia Zabala',
            'Zabalo, Galia',
            'Rui Mestre',
            'Rui Miguel Mestre',
            'Rui Maestre',
            'Teo Kallas',
            'Lúa Piñeiral',
            'Lua Pineiral Castro',
        ];
        $addresses = [
            'galia@school.example',
            'zabalo@home.example',
            'rui@school.example',
            'teo@school.example',
            'x@post.example',
        ];
        $pick = fn (array $from): string => $from[mt_rand(0, count($from) - 1)];
        for ($n = 0; $n < Scenario::rounds(150); $n++) {
            $roster = $queue = [];
            for ($i = mt_rand(1, 5); $i > 0; $i--) {
                $roster[] = new RosterEntry(
                    $i,
                    $pick($names),
                    $pick($addresses),
                    mt_rand(1, 4) === 1 ? 2 : 1,
                    7,
                    mt_rand(1, 6) === 1,
                );
            }
            for ($i = mt_rand(1, 4); $i > 0; $i--) {
                $queue[] = new Registrant(
                    $i,
                    $pick($names),
                    $pick($addresses),
                    1,
                    7,
                    mt_rand(0, 2) === 0 ? mt_rand(1, 5) : null,
                );
            }
            $findings = (new Matching($roster, ['school.example']))->findings($queue);
            $sum = 0;
            $given = [];
            foreach ($findings as $i => $finding) {
                expect($finding->registrant)->toBe($queue[$i]);
                // A name that is like two students' is said to be nobody's, though one was given.
                $isGiven = in_array(
                    $finding->verdict,
                    [Verdict::Certain, Verdict::CheckName, Verdict::CheckAddress],
                    true,
                );
                if ($isGiven) {
                    $sum += worth($finding->registrant, $finding->entry);
                    $given[] = $finding->entry->person;
                    fitsItsEvidence($finding, $roster);
                }
            }
            expect(count(array_unique($given)))->toBe(count($given), "nobody twice in $n");
            $isWhole =
                array_filter(
                    $findings,
                    fn (Finding $f): bool => in_array(
                        $f->verdict,
                        [Verdict::Unknown, Verdict::AnotherAccount],
                        true,
                    ),
                ) === [];
            if ($isWhole) {
                expect($sum)->toBe(mostWorth($queue, $roster), "the $n th queue");
            } else {
                expect($sum)->toBeLessThanOrEqual(mostWorth($queue, $roster), "the $n th queue");
            }
        }
    },
);

/** @param  list<RosterEntry>  $roster */
function fitsItsEvidence(Finding $finding, array $roster): void
{
    [$r, $e] = [$finding->registrant, $finding->entry];
    $name = (new PersonName($r->name->typed))->compare(new PersonName($e->name->typed));
    $same = Address::normal($r->address) === Address::normal($e->address);
    $shared = array_filter(
        $roster,
        fn (RosterEntry $x): bool => $x->section === $e->section && $x->address === $e->address,
    );
    expect($finding->name)->toBe($name)->and($finding->sameAddress)->toBe($same);
    $isCertain =
        $same &&
        $name !== NameRelation::Different &&
        ($r->account === null || $r->account === $e->person) &&
        (count($shared) === 1 || $name === NameRelation::Equal || $r->account === $e->person);
    expect($finding->verdict === Verdict::Certain)->toBe($isCertain);
    if (! $same) {
        expect($finding->verdict)->toBe(Verdict::CheckAddress);
    }
}
