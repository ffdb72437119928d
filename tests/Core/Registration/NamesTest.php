<?php

use Nomada\Core\Registration\Address;
use Nomada\Core\Registration\Finding;
use Nomada\Core\Registration\JaroWinkler;
use Nomada\Core\Registration\NameRelation;
use Nomada\Core\Registration\PersonName;
use Nomada\Core\Registration\Registrant;
use Nomada\Core\Registration\RosterEntry;
use Nomada\Core\Registration\Verdict;
use Tests\Support\English;

/*
 * Winkler's own table (1990, and the US Census Bureau's strcmp95 after it) to four places, and cases that tell every
 * bound of the measure from its neighbour.
 */
test('the likeness of two texts is that of the published tables', function (string $a, string $b, float $like) {
    expect(round(JaroWinkler::of($a, $b), 4))->toBe($like);
})->with([
    ['MARTHA', 'MARHTA', 0.9611],
    ['DWAYNE', 'DUANE', 0.84],
    ['DIXON', 'DICKSONX', 0.8133],
    ['JONES', 'JOHNSON', 0.8324],
    ['ABROMS', 'ABRAMS', 0.9222],
    ['HARDIN', 'MARTINEZ', 0.7222],
    ['ITMAN', 'SMITH', 0.4667],
    ['JERALDINE', 'GERALDINE', 0.9259],
    ['MICHELLE', 'MICHAEL', 0.9214],
    ['NICHLESON', 'NICHULSON', 0.9556],
    ['', '', 0.0],
    ['a', '', 0.0],
    ['', 'ab', 0.0],
    ['a', 'a', 1.0],
    ['a', 'b', 0.0],
    // A window of nought: only what is at the same place counts.
    ['ab', 'ba', 0.0],
    ['abc', 'cab', 0.0],
    // Four letters of a common beginning count, a fifth does not.
    ['abcdx', 'abcdy', 0.92],
    ['abcdex', 'abcdey', 0.9333],
    ['abcx', 'abcy', 0.8833],
    // One swap is a transposition of two letters.
    ['abcd', 'abdc', 0.9333],
    // Letters with marks count as one.
    ['éa', 'éa', 1.0],
    ['peña', 'pena', 0.8667],
    // A letter is taken once.
    ['aa', 'ab', 0.7],
    ['aaa', 'aab', 0.8222],
]);

test('a name has its words in order, without marks, punctuation and case', function (string $typed, array $words) {
    expect((new PersonName($typed))->words)
        ->toBe($words)
        ->and((new PersonName($typed))->joined)
        ->toBe(implode(' ', $words));
})->with([
    ['Zoé  d\'Ávila-Núñez', ['avila', 'd', 'nunez', 'zoe']],
    [
        'STRAßE Øre Łuk Ætna Œuvre Đan ðis þor ıl ŋa',
        ['aetna', 'dan', 'dis', 'il', 'luk', 'na', 'oeuvre', 'ore', 'strasse', 'thor'],
    ],
    ['Ana, Ana', ['ana', 'ana']],
    ['R2 D2', ['d2', 'r2']],
    ['李 小龍', ['小龍', '李']],
    [' .- ', []],
]);

test('bytes that are no text part words', function () {
    expect((new PersonName("Bad\xFF name"))->words)->toBe(['bad', 'name']);
});

test('how one name is to another, both ways', function (string $a, string $b, NameRelation $relation, int $score) {
    $one = new PersonName($a);
    $other = new PersonName($b);
    expect($one->compare($other))
        ->toBe($relation)
        ->and($other->compare($one))
        ->toBe($relation)
        ->and([$relation->score(), $relation->isLike()])
        ->toBe([$score, $score > 0]);
})->with([
    'equal in any order' => ['Ana Quiroga', 'quiroga, ANA', NameRelation::Equal, 3],
    'within' => ['Ana', 'Ana Quiroga', NameRelation::Containing, 2],
    'within, of three letters' => ['Ng O', 'Ng O Li', NameRelation::Containing, 2],
    'within, of two letters only: too little' => ['Li', 'Li Ngo', NameRelation::Different, 0],
    'a word twice is not within once' => ['Ana Ana', 'Ana Maria Lopez', NameRelation::Different, 0],
    'a slip at the end' => ['Ana Quiroga', 'Ana Quirogo', NameRelation::Near, 1],
    'a slip in the first letter of a long word' => ['Xulia Quiroga', 'Julia Quiroga', NameRelation::Near, 1],
    'slips in both words' => ['Jerome Quirogha', 'Jeromy Quiroga', NameRelation::Near, 1],
    'one word only, with a slip in front' => ['Xulia', 'Julia', NameRelation::Different, 0],
    'one word is like, the other is not' => ['Ana Quiroga', 'Ana Mestre', NameRelation::Different, 0],
    'nothing' => ['', 'Ana', NameRelation::Different, 0],
    'nothing on both sides' => ['', '.', NameRelation::Different, 0],
]);

test('an address is compared without what does not matter', function (string $typed, string $normal) {
    expect(Address::normal($typed))->toBe($normal);
})->with([
    [' Ana.Quiroga@School.example ', 'ana.quiroga@school.example'],
    ['ana+tides@school.example', 'ana@school.example'],
    ['ana+a+b@school.example', 'ana@school.example'],
    ['+tag@school.example', '@school.example'],
    ['"a@b"@school.example', '"a@b"@school.example'],
    ['no address+x', 'no address+x'],
]);

test('whose an address is', function () {
    expect(Address::domain('a@b@School.Example '))
        ->toBe('school.example')
        ->and(Address::domain('nobody'))
        ->toBe('')
        ->and(Address::isSchools('ANA@SCHOOL.example', ['School.Example']))
        ->toBeTrue()
        ->and(Address::isSchools('ana@home.example', ['school.example']))
        ->toBeFalse()
        ->and(Address::isSchools('nobody', ['']))
        ->toBeTrue()
        ->and(Address::isSchools('ana@school.example', []))
        ->toBeFalse();
});

test('what was found is said in words, and what both names have is marked', function (
    Verdict $verdict,
    array $with,
    string $why,
) {
    $registrant = new Registrant(1, 'Quiroga Ana', 'ana@home.example', 7);
    $entry = new RosterEntry(11, 'Ana María Quiroga', 'ana@school.example', 7);
    $finding = new Finding($registrant, $verdict, $entry, ...$with);
    expect(English::said($finding->why()))
        ->toBe($why)
        ->and($finding->shared())
        ->toBe(['ana', 'quiroga'])
        ->and($finding->marked('Ana María  Quiroga'))
        ->toBe([['Ana', true], [' ', false], ['María', false], ['  ', false], ['Quiroga', true]])
        ->and((new Finding($registrant, $verdict))->shared())
        ->toBe([]);
})->with([
    [Verdict::Certain, ['name' => NameRelation::Containing], 'same email address, name contained'],
    [Verdict::CheckName, [], 'same email address, different name'],
    [Verdict::CheckAddress, ['name' => NameRelation::Equal], 'same name, different email address, not of the school'],
    [
        Verdict::CheckAddress,
        ['name' => NameRelation::Near, 'isSchools' => true],
        'similar name, different email address of the school',
    ],
    [
        Verdict::AnotherAccount,
        ['sameAddress' => true],
        'this student’s email address, entered from somebody else’s account',
    ],
    [Verdict::AnotherAccount, [], 'this student’s name, entered from somebody else’s account'],
    [Verdict::AnotherSection, [], 'on the roster of another section of this course'],
    [Verdict::Already, [], 'this student is registered already'],
    [Verdict::Unknown, [], 'neither email address nor name is on the roster'],
]);
