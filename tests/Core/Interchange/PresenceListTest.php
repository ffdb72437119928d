<?php

use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\PresenceList;
use Nomada\Core\Interchange\PresenceRow;
use Nomada\Core\Presence\ListedPeople;
use Nomada\Core\Presence\ListedPerson;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Tests\Support\English;

function listOf(string $text, ?array $columns = null, string $zone = 'Europe/Madrid'): PresenceList
{
    return new PresenceList(
        'list.csv',
        $text,
        $columns ?? PresenceList::known(PresenceList::heads($text)),
        Zone::named($zone),
        LocalDate::parse('2027-02-09'),
    );
}

/** @return list<string> "S-1 + 09:00:00" in UTC */
function rowsOf(PresenceList $list): array
{
    return array_map(
        fn (PresenceRow $r): string => $r->who().' '.($r->isJoin ? '+' : '-').' '.gmdate('H:i:s', $r->at),
        $list->rows,
    );
}

test('a list whose columns are known is read without a question', function () {
    $list = listOf(
        "\u{FEFF}device,Person,at,what\nphone,S-1,2027-02-09T10:02:00+01:00,join\n,S-2,2027-02-09T09:02:30Z,LEAVE\n",
    );
    expect($list->faults)
        ->toBe([])
        ->and(rowsOf($list))
        ->toBe(['S-1 + 09:02:00', 'S-2 - 09:02:30'])
        ->and($list->rows[0]->device)
        ->toBe('phone');
});

test('times are read as they are exported, on the clock that is stated', function (string $typed, string $utc) {
    $list = listOf("person,at,what\nS-1,\"$typed\",join\n");
    expect($list->faults)->toBe([])->and(gmdate('m-d H:i:s', $list->rows[0]->at))->toBe($utc);
})->with([
    ['2027-02-09 10:02', '02-09 09:02:00'],
    ['2027-02-09T10:02:03.500+01:00', '02-09 09:02:03'],
    ['2027-02-09T10:02+0100', '02-09 09:02:00'],
    ['9/2/2027 10:02:03', '02-09 09:02:03'],
    ['2/9/2027, 10:02 AM', '02-09 09:02:00'],
    ['02/09/27 1:02 pm', '02-09 12:02:00'],
    ['10/2/2027 0:30', '02-09 23:30:00'],
    ['10:02', '02-09 09:02:00'],
    ['12:05 am', '02-08 23:05:00'],
    ['12.05 p.m.', '02-09 11:05:00'],
]);

test('a line a stay, with columns that were matched by hand', function () {
    $text = "Who;Mail;In;Out\nGalia Zabalo;galia@school.example;10:01;10:47\nRui;;10:20;\n";
    $columns = ['person' => 'Who', 'address' => 'Mail', 'came' => 'In', 'left' => 'Out'];
    expect(PresenceList::heads($text))
        ->toBe(['Who', 'Mail', 'In', 'Out'])
        ->and(PresenceList::known(PresenceList::heads($text)))
        ->toBe([])
        ->and(rowsOf(listOf($text, $columns, 'Atlantic/Canary')))
        ->toBe(['Galia Zabalo + 10:01:00', 'Galia Zabalo - 10:47:00', 'Rui + 10:20:00']);
});

test('what is wrong names its line and its column', function (
    string $text,
    int $line,
    string $column,
    string $words,
) {
    $faults = listOf($text)->faults();
    expect(array_map(fn (ImportFault $f): array => [$f->line, $f->column], $faults))
        ->toBe([[$line, $column]])
        ->and(English::of($faults[0]->expected))
        ->toContain($words);
})->with([
    ["name,at,what\nx,10:00,join", 1, '', 'Choose the column with the person: sourcedId, email address or name.'],
    ["person,at\nx,10:00", 1, '', 'Choose the columns with the times: either time and join or leave, or joined at and '
        .'left'],
    ["person,at,what\n", 2, '', 'There are no rows below the header.'],
    ["person,at,what\n,10:00,join", 2, 'person', 'This person is missing.'],
    ["person,at,what\nS-1,10:00,join\nS-1,10:40,went", 3, 'what', 'Enter join or leave.'],
    ["person,at,what\nS-1,25:00,join", 2, 'at', 'This is not a time.'],
    ["person,at,what\nS-1,10:60,join", 2, 'at', 'This is not a time.'],
    ["person,at,what\nS-1,13:00 pm,join", 2, 'at', 'This is not a time.'],
    ["person,at,what\nS-1,soon,join", 2, 'at', 'This is not a time.'],
    ["person,at,what\nS-1,30/2/2027 10:00,join", 2, 'at', 'This is not a time.'],
    ["person,at,what\nS-1,2027-02-19T10:00:00Z,join", 2, 'at', 'near Tue 9 Feb'],
    ["person,came,left\nS-1,10:30,10:10", 2, 'left', 'They left before they joined.'],
]);

test('certain is an id, an address with a name like it, or exactly one name', function () {
    $people = new ListedPeople([
        new ListedPerson('S-1', 'Galia Zabalo', 'zabalo@home.example'),
        new ListedPerson('S-2', 'Gael Zabalo', 'zabalo@home.example'),
        new ListedPerson('S-3', 'Rui Mestre', 'rui@school.example'),
        new ListedPerson('S-4', 'Rui Mestre', 'rui.m@school.example'),
        new ListedPerson('S-5', 'Teo Kallas', 'teo@school.example'),
    ]);
    expect($people->certain('S-5', ''))
        ->toBe('S-5')
        ->and($people->certain('TEO+class@school.example', ''))
        ->toBe('S-5')
        ->and($people->certain('', 'teo@school.example'))
        ->toBe('S-5')
        ->and($people->certain('Kallas, Téo', ''))
        ->toBe('S-5')
        ->and($people->certain('Kallas, Téo', 'teo@elsewhere.example'))
        ->toBe('S-5')
        // A family's address, and two of one name: the other of the two decides.
        ->and($people->certain('zabalo@home.example', ''))
        ->toBeNull()
        ->and($people->certain('Galia', 'zabalo@home.example'))
        ->toBe('S-1')
        ->and($people->certain('Rui Mestre', ''))
        ->toBeNull()
        ->and($people->certain('Rui Mestre', 'rui.m@school.example'))
        ->toBe('S-4')
        // Somebody else's name at an address is nobody certain.
        ->and($people->certain('Galia Zabalo', 'teo@school.example'))
        ->toBeNull()
        ->and($people->certain('Teo', ''))
        ->toBeNull()
        ->and($people->near('Teo', ''))
        ->toBe(['S-5'])
        ->and($people->near('Teo Kalas', 'zabalo@home.example'))
        ->toBe(['S-1', 'S-2', 'S-5'])
        ->and($people->near('nobody', ''))
        ->toBe([]);
});

test('every kind of line becomes these rows and these faults, and no other', function (
    string $text,
    array $rows,
    array $faults = [],
    ?array $columns = null,
    string $day = '2027-02-09',
) {
    $list = new PresenceList(
        'list.csv',
        $text,
        $columns ?? PresenceList::known(PresenceList::heads($text)),
        Zone::named('Europe/Madrid'),
        LocalDate::parse($day),
    );
    $row = fn (PresenceRow $r): string => "$r->line $r->person|$r->address|$r->device ".
        ($r->isJoin ? '+' : '-').
        gmdate(' m-d H:i:s', $r->at);
    $fault = fn (ImportFault $f): string => "$f->line $f->column {$f->expected->says} $f->found".
        ($f->warning ? ' (warning)' : '');
    expect(array_map($row, $list->rows))
        ->toBe($rows)
        ->and(array_map($fault, $list->faults))
        ->toBe($faults)
        ->and(array_map($fault, $list->faults()))
        ->toBe(array_values(array_filter($faults, fn (string $f): bool => ! str_ends_with($f, '(warning)'))));
})->with([
    'a line that cannot be read keeps no other from being read' => [
        "person,at,what\n,10:00,in\nS-1,soon,in\nS-2,10:01,went\nS-3, 10:02 ,GONE\nS-4,10:03,Entered",
        ['5 S-3|| - 02-09 09:02:00', '6 S-4|| + 02-09 09:03:00'],
        ['2 person list.person ', '3 at list.time soon', '4 what list.join went'],
    ],
    'an address alone is somebody' => [
        "address,at,what\na@b.example,10:00,came",
        ['2 |a@b.example| + 02-09 09:00:00'],
    ],
    'neither is nobody, and it stands at the address where there is no column for a person' => [
        "address,device,at,what\n,phone,10:00,in",
        [],
        ['2 address list.person '],
    ],
    'a stay of no length is one' => [
        "person,came,left\nS-1,10:00,10:00",
        ['2 S-1|| + 02-09 09:00:00', '2 S-1|| - 02-09 09:00:00'],
    ],
    'a stay that ends before it begins is none' => [
        "person,came,left\nS-1,10:00,9:59:59\nS-2,10:00,",
        ['3 S-2|| + 02-09 09:00:00'],
        ['2 left list.left 9:59:59'],
    ],
    'of a stay whose coming cannot be read the leaving stays' => [
        "person,came,left,device\nS-1,early,10:47,pad",
        ['2 S-1||pad - 02-09 09:47:00'],
        ['2 came list.time early'],
    ],
    'comings alone' => ["person,came\nS-1,10:00", ['2 S-1|| + 02-09 09:00:00']],
    'no line below the heads, in a file that says another thing of itself' => [
        "person;came\n",
        [],
        ['1  csv.semicolons  (warning)', '2  csv.no_line '],
    ],
    'a file that cannot be read is not told twice of' => ["person,came\nS-1", [], ['2  csv.values ']],
    'heads that do not suffice' => ["person,at\nS-1,10:00", [], ['1  list.no_times ']],
    'nobody in the heads' => ["came\n10:00", [], ['1  list.no_person ']],
    'three days before and behind noon, to the second' => [
        "person,came\nA,2027-02-06 12:00:00\nB,2027-02-06 11:59:59\nC,2027-02-12 12:00:00\nD,2027-02-12 12:00:01",
        ['2 A|| + 02-06 11:00:00', '4 C|| + 02-12 11:00:00'],
        ['3 came list.near 2027-02-06 11:59:59', '5 came list.near 2027-02-12 12:00:01'],
    ],
    'times of day at their ends' => [
        "person,came\nA,23:59:59\nB,24:00\nC,0:00\nD,9:59:60\nE,10:02:03.75\nF,9:5",
        ['2 A|| + 02-09 22:59:59', '4 C|| + 02-08 23:00:00', '6 E|| + 02-09 09:02:03'],
        ['3 came list.time 24:00', '5 came list.time 9:59:60', '7 came list.time 9:5'],
    ],
    'halves of the day at their ends' => [
        "person,came\nA,12:00 AM\nB,12:30PM\nC,0:30 am\nD,13:00 pm\nE,1:00 a.m.\nF,11:59 pm",
        ['2 A|| + 02-08 23:00:00', '3 B|| + 02-09 11:30:00', '6 E|| + 02-09 00:00:00', '7 F|| + 02-09 22:59:00'],
        ['4 came list.time 0:30 am', '5 came list.time 13:00 pm'],
    ],
    'moments with their zone, as several write them' => [
        "person,came\nA,2027-02-09 10:02:03+01:00\nB,2027-02-09T10:02:03.123456Z\nC,2027-02-09T10:02-0500\n".
        "D,2027-02-30T10:02:03Z\nE,2027-02-09T25:00:00Z",
        ['2 A|| + 02-09 09:02:03', '3 B|| + 02-09 10:02:03', '4 C|| + 02-09 15:02:00'],
        ['5 came list.time 2027-02-30T10:02:03Z', '6 came list.time 2027-02-09T25:00:00Z'],
    ],
    'day or month first, whichever is nearer' => [
        "person,came\nA,8/2/2027 10:00\nB,2/8/2027 10:00\nC,2027/2/10 10:00\nD,11.2.27 10:00\nE,13-2-2027 10:00\n".
        "F,2/31/2027 10:00\nG,9/2/99 10:00",
        ['2 A|| + 02-08 09:00:00', '3 B|| + 02-08 09:00:00', '4 C|| + 02-10 09:00:00', '5 D|| + 02-11 09:00:00'],
        ['6 came list.near 13-2-2027 10:00', '7 came list.time 2/31/2027 10:00', '8 came list.near 9/2/99 10:00'],
    ],
    'the last of a month' => [
        "person,came\nA,31/1/2027 10:00\nB,1/31/27 10:00\nC,32/1/2027 10:00",
        ['2 A|| + 01-31 09:00:00', '3 B|| + 01-31 09:00:00'],
        ['4 came list.time 32/1/2027 10:00'],
        null,
        '2027-01-31',
    ],
    'columns that were matched by hand' => [
        "Who,When,Which\nS-1,10:00,left",
        ['2 S-1|| - 02-09 09:00:00'],
        [],
        ['person' => 'Who', 'at' => 'When', 'what' => 'Which'],
    ],
]);

test('heads are those of the first line, however they are parted, and the first of a name counts', function () {
    expect(PresenceList::heads("\u{FEFF} Who ;; \"In, or out\" \r\n1;2;3"))
        ->toBe(['Who', 'In, or out'])
        ->and(PresenceList::heads("a\tb,c\n"))
        ->toBe(['a', 'b,c'])
        ->and(PresenceList::heads("a,b\xE9"))
        ->toBe(['a', 'b?'])
        ->and(PresenceList::heads(''))
        ->toBe([])
        ->and(PresenceList::known(['What', 'AT', 'at', 'other', 'Person']))
        ->toBe(['what' => 'What', 'at' => 'AT', 'person' => 'Person']);
});
