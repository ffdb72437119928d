<?php

use Nomada\Core\Interchange\SchoolReader;
use Nomada\Core\Timetable\SessionState;
use Tests\Core\Scenario;
use Tests\Support\English;
use Tests\Support\SmallSchool;

test('a good school has no fault, and everybody the right zone', function () {
    $data = SchoolReader::read(SmallSchool::files());

    expect($data->faults)
        ->toBe([])
        ->and($data->counts())
        ->toBe([
            'terms' => 1,
            'closures' => 3,
            'courses' => 3,
            'sections' => 3,
            'people' => 8,
            'enrolments' => 8,
            'series' => 2,
        ])
        ->and($data->people['S-1']['time_zone'])
        ->toBe('Atlantic/Canary')
        ->and($data->people['S-3']['time_zone'])
        ->toBe('Europe/Madrid')
        ->and($data->people['S-1']['guardians'])
        ->toBe(['G-1'])
        ->and($data->sections['MAR']['year'])
        ->toBe('8')
        ->and($data->closures[1])
        ->toBe([
            'uid' => 'carnival',
            'first' => '2027-02-15',
            'last' => '2027-02-17',
            'reason' => 'Carnival',
            'hours' => null,
        ])
        // SPA's rule has neither COUNT nor UNTIL: said, but no fault.
        ->and($data->warnings)
        ->toHaveCount(1)
        ->and(English::line($data->warnings[0]))
        ->toContain('timetable.csv, line 3')
        ->toContain('ends with the term');
});

test('the demo school is good, and its numbers are those of the scenario', function () {
    $files = [];
    foreach (glob(__DIR__.'/../../../database/demo/marisma/*') ?: [] as $file) {
        $files[basename($file)] = (string) file_get_contents($file);
    }
    $data = SchoolReader::read($files);
    $planned = [];
    foreach ($data->series ?? [] as $series) {
        $planned[$series['section']] = count(Scenario::dates($series['plan']->sessions(Scenario::term())));
    }

    expect($data->faults)
        ->toBe([])
        ->and($data->counts())
        ->toMatchArray(['sections' => 24, 'closures' => 3, 'series' => 23])
        ->and(array_count_values(array_column($data->people, 'role')))
        ->toMatchArray(['teacher' => 12, 'student' => 180])
        ->and($planned)
        ->toMatchArray(['7SPA' => 61, '8HIS' => 13, '7MAT-A' => 36, '8MAR' => 25, '10CIV' => 3]);
});

test('every fault is listed with file, line and column', function (
    string $file,
    string $from,
    string $to,
    int $line,
    string $column,
) {
    $text = str_replace($from, $to, SmallSchool::files()[$file]);
    expect($text)->not->toBe(SmallSchool::files()[$file]);
    $faults = SchoolReader::read(SmallSchool::files([$file => $text]))->faults;

    expect([$faults[0]->file, $faults[0]->line, $faults[0]->column])->toBe([$file, $line, $column]);
})->with([
    ['orgs.csv', 'Europe/Madrid', 'Europe/Marisma', 2, 'metadata.timeZone'],
    ['orgs.csv', ',school,', ',district,', 2, 'type'],
    ['academicSessions.csv', '2027-04-23', '23/04/2027', 2, 'endDate'],
    ['academicSessions.csv', '2027-04-23', '2026-04-23', 2, 'endDate'],
    ['courses.csv', '7SPA,,Spanish', '8MAR,,Spanish', 3, 'sourcedId'],
    ['classes.csv', '7SPA,MTS', '9SPA,MTS', 3, 'courseSourcedId'],
    ['classes.csv', 'MTS,27S', 'MTS,26S', 2, 'termSourcedIds'],
    ['users.csv', 'rui@school.example', 'rui', 6, 'email'],
    ['users.csv', 'Africa/Casablanca', 'Casablanca', 4, 'metadata.timeZone'],
    ['users.csv', 'Mestre', '', 6, 'familyName'],
    ['enrollments.csv', 'E-2,,MAR,S-1', 'E-2,,MAR,S-9', 3, 'userSourcedId'],
    ['enrollments.csv', 'E-3,,MAR,S-2', 'E-3,,MAR,S-1', 4, 'userSourcedId'],
    ['enrollments.csv', '2027-02-20', '2027-02-30', 5, 'endDate'],
    ['closures.ics', 'SUMMARY:Carnival', 'SUMMARY:', 11, 'SUMMARY'],
    ['closures.ics', '20270215', 'soon', 11, 'DTSTART'],
    ['closures.ics', 'DATE:20270218', 'DATE:20270210', 11, 'DTEND'],
    ['closures.ics', 'DTSTART;VALUE=DATE:20270215', 'DTSTART;TZID=Marisma:20270215T090000', 11, 'DTSTART'],
    ['closures.ics', "SUMMARY:Carnival\r\n", "SUMMARY:Carnival\r\nRRULE:FREQ=DAILY\r\n", 11, 'RRULE'],
    ['timetable.csv', 'MAR,Marine', 'MARE,Marine', 2, 'class_sourced_id'],
    ['timetable.csv', '2027-01-12T10:00', '12 January', 2, 'dtstart'],
    ['timetable.csv', ',47,', ',0,', 2, 'minutes'],
    ['timetable.csv', 'FREQ=DAILY', 'FREQ=YEARLY', 3, 'rrule'],
    ['timetable.csv', 'Europe/Madrid', 'Madrid', 2, 'tzid'],
]);

test('a text that is too long is told with its line; heads and roles are read as people write them', function () {
    $long = str_repeat('x', 251);
    $data = SchoolReader::read(
        SmallSchool::files([
            'users.csv' => "SourcedId,Role,givenName,familyName,EMAIL\nT-1,Teacher,Nadir,Haddad,n@s.example\n".
                "S-1,student,$long,Zabalo,g@s.example\n",
            'enrollments.csv' => "sourcedId,classSourcedId,userSourcedId,role\nE-1,MAR,T-1,Teacher\n",
        ]),
    );
    $said = array_map(English::line(...), array_filter($data->faults, fn ($f) => ! $f->warning));
    expect($data->people['T-1']['role'])
        ->toBe('teacher')
        ->and(implode("\n", $said))
        ->toContain('givenName')
        ->toContain('This is longer than 250 characters.');
});

test('a missing file and a broken calendar are faults, not crashes', function () {
    expect(English::line(SchoolReader::read(SmallSchool::files(['users.csv' => null]))->faults[0]))
        ->toContain('users.csv')
        ->and(English::line(SchoolReader::read(SmallSchool::files(['closures.ics' => 'hello']))->faults[0]))
        ->toContain('iCalendar')
        ->and(
            SchoolReader::read(
                SmallSchool::files([
                    'closures.ics' => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nthis is no line\r\nEND:VCALENDAR",
                ]),
            )->faults[0]->line,
        )
        ->toBe(3);
});

test('a faulty row takes nothing good with it', function () {
    $data = SchoolReader::read(
        SmallSchool::files([
            'users.csv' => str_replace('rui@school.example', 'rui', SmallSchool::files()['users.csv']),
        ]),
    );

    // Rui is out, and with him the one enrolment that names him.
    expect($data->people)
        ->toHaveCount(7)
        ->and($data->enrolments)
        ->toHaveCount(7)
        ->and(array_map(fn ($f) => "$f->file $f->line", $data->faults))
        ->toBe(['users.csv 6'])
        ->and($data->followed)
        ->toBe(['users.csv, line 6' => 1]);
});

test('rows to be deleted are read as if they were not there', function () {
    $data = SchoolReader::read(
        SmallSchool::files([
            'enrollments.csv' => str_replace(
                'E-4,,MAR',
                'E-4,tobedeleted,MAR',
                SmallSchool::files()['enrollments.csv'],
            ),
        ]),
    );

    expect($data->faults)->toBe([])->and($data->enrolments)->not->toHaveKey('E-4');
});

test('what is likely a slip in a timetable is a warning', function (string $row, string $words) {
    $data = SchoolReader::read(
        SmallSchool::files(['timetable.csv' => "class_sourced_id,title,dtstart,minutes,tzid,rrule\n$row\n"]),
    );

    expect($data->faults)
        ->toBe([])
        ->and($data->series)
        ->toHaveCount(1)
        ->and(implode(' ', array_map(fn ($w) => English::line($w), $data->warnings)))
        ->toContain($words);
})->with([
    ['MAR,M,2027-01-12T22:00,45,,FREQ=WEEKLY;COUNT=3', '22:00 is after 21:00'],
    ['MAR,M,2027-04-13T10:00,45,,FREQ=WEEKLY;COUNT=4', '2 dates of this rule are outside the term'],
    ['MAR,M,2027-01-11T10:00,45,,FREQ=WEEKLY;BYDAY=TU;COUNT=3', 'the first date is 2027-01-12'],
]);

test('a timetable keeps its own zone, and one date is one session', function () {
    $text =
        "class_sourced_id,title,dtstart,minutes,tzid,rrule\n".
        "MAR,A,2027-03-01T10:00,45,Africa/Casablanca,FREQ=WEEKLY;COUNT=4\nMAR,B,2027-03-02 11:00,30,,\n";
    [$a, $b] = SchoolReader::read(SmallSchool::files(['timetable.csv' => $text]))->series;
    $madrid = Scenario::term()->zone;
    $clocks = array_map(fn ($s) => $madrid->clock($s->start), $a['plan']->sessions(Scenario::term()));

    expect($clocks)
        ->toBe(['11:00', '11:00', '10:00', '10:00'])
        ->and(Scenario::dates($b['plan']->sessions(Scenario::term())))
        ->toBe(['2027-03-02'])
        ->and(Scenario::dates($a['plan']->sessions(Scenario::term()), SessionState::Lost))
        ->toBe(['2027-03-22']);
});

test('every file and every column that a school needs is asked for by its name', function (
    string $file,
    array $columns,
) {
    $files = SmallSchool::files();
    $without = SchoolReader::read(array_diff_key($files, [$file => 1]))->faults;
    expect(English::line($without[0]))->toBe("$file: The file $file is missing from the folder.");
    foreach ($columns as $column) {
        $lines = explode("\n", trim($files[$file]));
        $heads = explode(',', $lines[0]);
        expect($heads)->toContain($column);
        $lines[0] = implode(',', array_map(fn (string $h): string => $h === $column ? 'other' : $h, $heads));
        $said = array_map(
            fn ($f): string => "$f->file $f->line $f->column",
            SchoolReader::read([$file => implode("\n", $lines)] + $files)->faults,
        );
        expect($said)->toContain("$file 1 $column");
    }
})->with([
    ['orgs.csv', ['sourcedId', 'name', 'type']],
    ['academicSessions.csv', ['sourcedId', 'title', 'type', 'startDate', 'endDate']],
    ['courses.csv', ['sourcedId', 'title']],
    ['classes.csv', ['sourcedId', 'title', 'courseSourcedId', 'termSourcedIds']],
    ['users.csv', ['sourcedId', 'role', 'givenName', 'familyName', 'email']],
    ['enrollments.csv', ['sourcedId', 'classSourcedId', 'userSourcedId', 'role']],
]);
