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
    ["name,at,what\nx,10:00,join", 1, '', 'which column has the person'],
    ["person,at\nx,10:00", 1, '', 'which columns have the times'],
    ["person,at,what\n", 2, '', 'At least one line'],
    ["person,at,what\n,10:00,join", 2, 'person', 'A person was expected'],
    ["person,at,what\nS-1,10:00,join\nS-1,10:40,went", 3, 'what', 'join or leave'],
    ["person,at,what\nS-1,25:00,join", 2, 'at', 'A time was expected'],
    ["person,at,what\nS-1,10:60,join", 2, 'at', 'A time was expected'],
    ["person,at,what\nS-1,13:00 pm,join", 2, 'at', 'A time was expected'],
    ["person,at,what\nS-1,soon,join", 2, 'at', 'A time was expected'],
    ["person,at,what\nS-1,30/2/2027 10:00,join", 2, 'at', 'A time was expected'],
    ["person,at,what\nS-1,2027-02-19T10:00:00Z,join", 2, 'at', 'near Tue 9 Feb'],
    ["person,came,left\nS-1,10:30,10:10", 2, 'left', 'left before they came'],
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
