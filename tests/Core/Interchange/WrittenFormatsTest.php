<?php

use Nomada\Core\Interchange\AtomEntry;
use Nomada\Core\Interchange\AtomFeed;
use Nomada\Core\Interchange\Calendar\ClosureReader;
use Nomada\Core\Interchange\Calendar\ClosureWriter;
use Nomada\Core\Interchange\CartridgeFolder;
use Nomada\Core\Interchange\CartridgeLink;
use Nomada\Core\Interchange\CommonCartridge;
use Nomada\Core\Interchange\Gradebook;
use Nomada\Core\Interchange\GradebookResult;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\ImportLine;
use Nomada\Core\Interchange\KnownRooms;
use Nomada\Core\Interchange\SeriesRows;
use Nomada\Core\Interchange\TimetableWriter;
use Nomada\Core\Term\Closure;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\DatesPattern;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;
use Tests\Support\English;

// What we write for other programs, whole: each of them reads every word of it.

test('a gradebook, file by file', function () {
    $files = Gradebook::files('MAR', 'Participation', 'ORG', '2027-01-12', '2027-04-22', 20, [
        new GradebookResult('S-1', 17.5, 'came late twice'),
        new GradebookResult('S-2', 0.0),
    ]);
    $lines = array_map(
        fn (array $rows): array => array_map(fn (array $row): string => implode(',', $row), $rows),
        $files,
    );
    expect($lines)->toBe([
        'manifest.csv' => [
            'propertyName,value',
            'manifest.version,1.0',
            'oneroster.version,1.1',
            'file.academicSessions,absent',
            'file.categories,bulk',
            'file.classes,absent',
            'file.classResources,absent',
            'file.courses,absent',
            'file.courseResources,absent',
            'file.demographics,absent',
            'file.enrollments,absent',
            'file.lineItems,bulk',
            'file.orgs,absent',
            'file.resources,absent',
            'file.results,bulk',
            'file.users,absent',
            'source.systemName,Nomada',
            'source.systemCode,nomada',
        ],
        'categories.csv' => ['sourcedId,status,dateLastModified,title', 'participation,,,Participation'],
        'lineItems.csv' => [
            'sourcedId,status,dateLastModified,title,description,assignDate,dueDate,classSourcedId,'.
            'categorySourcedId,gradingPeriodSourcedId,resultValueMin,resultValueMax,schoolSourcedId',
            'MAR-participation,,,Participation,,2027-01-12,2027-04-22,MAR,participation,,0,20,ORG',
        ],
        'results.csv' => [
            'sourcedId,status,dateLastModified,lineItemSourcedId,studentSourcedId,scoreStatus,score,scoreDate,comment',
            'MAR-participation-S-1,,,MAR-participation,S-1,fully graded,17.5,2027-04-22,came late twice',
            'MAR-participation-S-2,,,MAR-participation,S-2,fully graded,0,2027-04-22,',
        ],
    ]);
});

test('a cartridge, file by file', function () {
    $files = CommonCartridge::files('8 MAR/2', 'Marine & more', 'es', [
        new CartridgeFolder('Week 1', [new CartridgeLink('Tue <1>', 'https://x.example/?a=1&b=2')]),
        new CartridgeFolder('Week 2', []),
    ]);
    $head = '<?xml version="1.0" encoding="UTF-8"?>'."\n";
    expect($files)->toBe([
        'imsmanifest.xml' => $head.
            '<manifest identifier="m-8-MAR-2" xmlns:lomimscc="http://ltsc.ieee.org/xsd/imsccv1p3/LOM/manifest" '.
            'xmlns="http://www.imsglobal.org/xsd/imsccv1p3/imscp_v1p1"><metadata><schema>IMS Common '.
            'Cartridge</schema><schemaversion>1.3.0</schemaversion><lomimscc:lom><lomimscc:general><lomimscc:title>'.
            '<lomimscc:string language="es">Marine &amp; more</lomimscc:string></lomimscc:title></lomimscc:general>'.
            '</lomimscc:lom></metadata><organizations><organization identifier="weeks" '.
            'structure="rooted-hierarchy"><item identifier="root"><item identifier="f0"><title>Week 1</title>'.
            '<item identifier="i-f0-l0" identifierref="r-f0-l0"><title>Tue &lt;1&gt;</title></item></item>'.
            '<item identifier="f1"><title>Week 2</title></item></item></organization></organizations><resources>'.
            '<resource identifier="r-f0-l0" type="imswl_xmlv1p3"><file href="links/f0-l0.xml"/></resource>'.
            '</resources></manifest>',
        'links/f0-l0.xml' => $head.
            '<webLink xmlns="http://www.imsglobal.org/xsd/imsccv1p3/imswl_v1p3"><title>Tue &lt;1&gt;</title>'.
            '<url href="https://x.example/?a=1&amp;b=2" target="_blank"/></webLink>',
    ]);
});

test('a feed, with its pages, without what XML has no characters for', function () {
    $link = fn (
        string $rel,
        string $to,
    ): string => "<link rel=\"$rel\" type=\"application/atom+xml\" href=\"$to\"/>";
    $write = fn (array $entries, ?string $next): string => AtomFeed::write(
        'tag:x,2026:s',
        "Marine\x01 & more",
        'N. Haddad',
        'https://x/2',
        $entries,
        'https://x/1',
        $next,
    );
    $feed = $write(
        [
            new AtomEntry('tag:x,2026:b', 'B', "two\x0B\nlines", 1_800_000_000),
            new AtomEntry('a', 'A', 'é', 1_700_000_000),
        ],
        'https://x/3',
    );
    expect($feed)->toBe(
        '<?xml version="1.0" encoding="UTF-8"?>'.
            "\n".
            '<feed xmlns="http://www.w3.org/2005/Atom"><id>tag:x,2026:s</id><title>Marine &amp; more</title>'.
            '<updated>2027-01-15T08:00:00Z</updated><author><name>N. Haddad</name></author>'.
            $link('self', 'https://x/2').
            $link('first', 'https://x/1').
            $link('next', 'https://x/3').
            '<entry><id>tag:x,2026:b</id><title>B</title><updated>2027-01-15T08:00:00Z</updated>'.
            "<content type=\"text\">two\nlines</content></entry>".
            '<entry><id>a</id><title>A</title><updated>2023-11-14T22:13:20Z</updated>'.
            '<content type="text">é</content></entry></feed>',
    );
    expect($write([], null))->toContain('<updated>1970-01-01T00:00:00Z</updated>')->not->toContain('rel="next"');
});

test('closed days, as our own reader and any other read them', function () {
    $text = ClosureWriter::write(
        [
            'carnival' => new Closure(
                LocalDate::parse('2027-02-15'),
                LocalDate::parse('2027-02-17'),
                'Carnival; all',
            ),
            'staff' => new Closure(LocalDate::parse('2027-01-29'), LocalDate::parse('2027-01-29'), 'Staff day'),
        ],
        'Closed days',
        1_800_000_000,
    );
    $event = fn (string $uid, string $of, string $from, string $to): string => "BEGIN:VEVENT\r\nUID:$uid\r\n".
        "DTSTAMP:20270115T080000Z\r\nSUMMARY:$of\r\nDTSTART;VALUE=DATE:$from\r\nDTEND;VALUE=DATE:$to\r\n".
        "TRANSP:TRANSPARENT\r\nEND:VEVENT\r\n";
    expect($text)->toBe(
        "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Nomada//Timetable 1//EN\r\nCALSCALE:GREGORIAN\r\n".
            "NAME:Closed days\r\n".
            $event('carnival', 'Carnival\; all', '20270215', '20270218').
            $event('staff', 'Staff day', '20270129', '20270130').
            "END:VCALENDAR\r\n",
    );
    [$read, $faults] = ClosureReader::read($text, 'x.ics', Scenario::term()->zone);
    expect($faults)
        ->toBe([])
        ->and(array_map(fn (array $c): string => "$c[uid] $c[first] $c[last] $c[reason]", $read))
        ->toBe(['carnival 2027-02-15 2027-02-17 Carnival; all', 'staff 2027-01-29 2027-01-29 Staff day']);
});

test('a timetable\'s rows: a rule till its last session, dates one by one', function () {
    $planned = fn (array $of): array => array_values(
        array_filter($of, fn (PlannedSession $s): bool => $s->state === SessionState::Planned),
    );
    $plan = Scenario::plan([2, 4], '2027-01-12', minutes: 47);
    $sessions = array_slice($planned($plan->sessions(Scenario::term())), 0, 5);
    // Out of order, one of them moved, and an extra one that is of no date of the pattern.
    $moved = new PlannedSession(
        $sessions[4]->day + 1,
        $sessions[4]->start + 86400,
        $sessions[4]->end + 86400,
        own: new SessionOverrides($sessions[4]->day),
    );
    $extra = new PlannedSession($sessions[4]->day + 9, 1, 2, own: new SessionOverrides(isExtra: true));
    expect(
        TimetableWriter::rows('MAR', 'Marine', $plan, [$extra, $moved, ...array_slice($sessions, 0, 4)], 'uid-1'),
    )
        ->toBe([
            [
                'MAR',
                'Marine',
                '2027-01-12T10:00',
                47,
                'Europe/Madrid',
                'FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=20270126T090000Z',
                'uid-1',
                '',
                '',
            ],
        ])
        ->and(TimetableWriter::rows('MAR', 'Marine', $plan, [$extra]))
        ->toBe([]);
    $days = array_map(fn (string $d): int => LocalDate::parse($d)->day, ['2027-01-14', '2027-02-02']);
    $dates = Scenario::plan(new DatesPattern($days), '2027-01-12');
    expect(TimetableWriter::rows('MAR', 'M', $dates, $planned($dates->sessions(Scenario::term()))))->toBe([
        ['MAR', 'M, Thu 14 Jan', '2027-01-14T10:00', 45, 'Europe/Madrid', '', '', '', ''],
        ['MAR', 'M, Tue 2 Feb', '2027-02-02T10:00', 45, 'Europe/Madrid', '', '', '', ''],
    ]);
    expect(TimetableWriter::toPlace('STA', 'Statistics', 2, 45, '2027-02-22', null))->toHaveSameSize(
        TimetableWriter::HEADER,
    );
});

test('a row stays the same series by its title, else its plan, else by being the last', function (
    array $rows,
    array $known,
    array $match,
) {
    $of = fn (string $row): array => array_combine(['title', 'print'], explode(' ', $row));
    expect(SeriesRows::match(array_map($of, $rows), array_map($of, $known)))->toBe($match);
})->with([
    [['Lab 1', 'Talk 2'], ['talk 9', 'LAB 8'], [0 => 1, 1 => 0]],
    [['Ämne 1'], ['ämne 2', 'x 1'], [0 => 0]],
    // By its plan; a title goes before a plan.
    [['New 1', 'Talk 2'], ['talk 1', 'Old 2'], [0 => 1, 1 => 0]],
    [['New 1', 'Other 5'], ['Old 1', 'Older 6'], [0 => 0, 1 => 1]],
    // The only one left on both sides.
    [['New 1'], ['Old 2'], [0 => 0]],
    [['New 1', 'Newer 2'], ['Old 3'], []],
    [['New 1'], ['Old 2', 'Older 3'], []],
    [[], ['Old 2'], []],
    [['Lab 1', 'Lab 2'], ['Lab 3', 'Lab 4'], [0 => 0, 1 => 1]],
]);

test('known rooms are read, and each fault says where and how to mend it', function () {
    $good = new KnownRooms(
        'rooms.csv',
        "account,address,dial_in,pin\n Hall , https://rooms.example/1 , +34 1 , 12 \n".
            "Room 2,https://rooms.example/2,,\n",
        ['Hall', 'Room 2'],
    );
    expect($good->faults)
        ->toBe([])
        ->and($good->rooms)
        ->toBe([
            ['account' => 'Hall', 'address' => 'https://rooms.example/1', 'dial_in' => '+34 1', 'pin' => '12'],
            ['account' => 'Room 2', 'address' => 'https://rooms.example/2', 'dial_in' => '', 'pin' => ''],
        ]);
    $said = fn (string $text, array $accounts): array => array_map(
        fn (ImportFault $f): string => English::line($f),
        (new KnownRooms('rooms.csv', $text, $accounts))->faults,
    );
    $names = array_map(fn (int $n): string => "R$n", range(1, 9));
    expect($said("account,address\nX,http://a.example\nR1,https://a.example\nR1,https://b.example\n", $names))
        ->toBe([
            'rooms.csv, line 2, column account: There is no such host account. Use one of: R1, R2, R3, R4, R5, R6, '.
            'R7, R8. Found "X".',
            'rooms.csv, line 2, column address: Enter a link that starts with https://. Found '.
            '"http://a.example".',
            'rooms.csv, line 4, column account: This account is in the list twice. Keep one line. Found "R1".',
        ])
        ->and($said("account,address\nX,https://\n", []))
        ->toBe([
            'rooms.csv, line 2, column account: There is no host account yet. Add one on the page Licences first. '.
            'Found "X".',
            'rooms.csv, line 2, column address: Enter a link that starts with https://. Found "https://".',
        ])
        ->and($said("account,address\n", ['R1']))
        ->toBe(['rooms.csv, line 2: There are no rows below the header.'])
        ->and($said("account\nR1\n", ['R1']))
        ->toHaveCount(1);
});

test('a line of an import says what there is to say, and is dangerous where it has a code', function () {
    expect(json_encode(new ImportLine('people', 'add', 'Ana')))
        ->toBe('{"kind":"people","verb":"add","of":"Ana"}')
        ->and(json_encode(new ImportLine('series', 'remove', 'MAR', 'a', 'b', 'c', 3)))
        ->toBe('{"kind":"series","verb":"remove","of":"MAR","before":"a","after":"b","code":"c","sessions":3}')
        ->and((new ImportLine('a', 'b', 'c', code: 'd'))->isDangerous())
        ->toBeTrue()
        ->and((new ImportLine('a', 'b', 'c'))->isDangerous())
        ->toBeFalse();
});
