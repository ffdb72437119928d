<?php

use Nomada\Core\Fault;
use Nomada\Core\Interchange\SchoolReader;
use Nomada\Core\Interchange\TypedSchool;
use Nomada\Core\Term\LocalDate;
use Tests\Support\English;

/** @param  array<string, string>  $with */
function typedSchool(array $with = []): array
{
    $given = $with + [
        'name' => 'Marisma Travelling School',
        'zone' => 'Europe/Madrid',
        'term' => 'Spring',
        'first' => '2027-01-11',
        'last' => '2027-04-23',
        'sections' => "Marine Science\t8\tNadir\tHaddad\tnadir@school.example\n\nMarine ".
            "Science;9;Nadir;Haddad;Nadir@school.example\n".
            "\"Art, drawn\",8,Inés,Belmar,\nClub",
        'students' => "Galia\tZabalo\tgalia@school.example\t8\nRui, Mestre, , 9\n".
            'Teo,Kallas,teo@school.example,8,"Art, drawn|Club"',
    ];

    return TypedSchool::files(
        $given['name'],
        $given['zone'],
        $given['term'],
        LocalDate::parse($given['first']),
        LocalDate::parse($given['last']),
        $given['sections'],
        $given['students'],
    );
}

/** @return mixed the same with ids that count on by kind, in the order in which they come */
function counted(mixed $of): mixed
{
    $ids = $n = [];
    $text = preg_replace_callback(
        '/([A-Z]+)-[0-9a-f]{12}/',
        function (array $m) use (&$ids, &$n): string {
            return $ids[$m[0]] ??= "$m[1]-".($n[$m[1]] = ($n[$m[1]] ?? 0) + 1);
        },
        (string) json_encode($of),
    );

    return json_decode((string) $text, true);
}

test('a line is the same section or person wherever it stands', function () {
    $ids = fn (string $sections, string $students): array => array_map(
        fn (string $file): array => array_map(
            fn (string $line): string => strtok($line, ','),
            explode("\n", trim(typedSchool(['sections' => $sections, 'students' => $students])[$file])),
        ),
        ['classes.csv', 'users.csv', 'enrollments.csv'],
    );
    $before = $ids("Art,8\nMaths,8,Nadir,Haddad,n@s.example", "Galia,Zabalo,g@s.example,8\nRui,Mestre,,8");
    $after = $ids(
        "Choir,7\nMaths,8,Nadir,Haddad,N@s.example\nArt,8",
        "Teo,Kallas,,7\nRui,Mestre,,8\nGalia,Zabalo,g@s.example,8",
    );
    foreach ($before as $n => $of) {
        expect(array_diff($of, $after[$n]))->toBe([]);
    }
});

test('what is typed becomes the files that an import reads, without a fault', function () {
    $data = SchoolReader::read(typedSchool());
    expect($data->faults)
        ->toBe([])
        ->and($data->school['time_zone'])
        ->toBe('Europe/Madrid')
        ->and(counted(array_column($data->sections, 'year', 'sourced_id')))
        ->toBe(['SECTION-1' => '8', 'SECTION-2' => '9', 'SECTION-3' => '8', 'SECTION-4' => ''])
        // One course for both years of one title; one teacher for one address.
        ->and(array_column($data->courses, 'title'))
        ->toBe(['Marine Science', 'Art, drawn', 'Club'])
        ->and(array_map(fn (array $p): string => "$p[role] $p[given_name]", array_values($data->people)))
        ->toBe(['teacher Nadir', 'teacher Inés', 'student Galia', 'student Rui', 'student Teo']);
    $in = [];
    foreach ($data->enrolments as $e) {
        $in[$data->people[$e['person']]['given_name']][] = $e['section'];
    }
    expect(counted($in))->toBe([
        'Nadir' => ['SECTION-1', 'SECTION-2'],
        'Inés' => ['SECTION-3'],
        // All of their year, or those that are named.
        'Galia' => ['SECTION-1', 'SECTION-3'],
        'Rui' => ['SECTION-2'],
        'Teo' => ['SECTION-3', 'SECTION-4'],
    ]);
});

test('what is wrong is said beside its field, with its line', function (array $with, string $field, string $words) {
    try {
        typedSchool($with);
        $said = '';
    } catch (Fault $e) {
        $said = "$e->field: ".English::of($e);
    }
    expect($said)->toStartWith("$field: $words");
})->with([
    'no name' => [['name' => ' '], 'name', 'Enter a name for the school'],
    'no term' => [['term' => ''], 'term', 'Enter a name for the school'],
    'a term of no day' => [['last' => '2027-01-11'], 'term_last', 'The term must end after'],
    'no section' => [['sections' => " \n"], 'sections', 'Enter at least one section'],
    'half a teacher' => [['sections' => "Art,8\nMaths,8,Nadir"], 'sections', 'Line 2 of the sections needs'],
    'no title' => [['sections' => ',8'], 'sections', 'Line 1 of the sections needs'],
    'twice' => [
        ['sections' => "Art,8\n\nart,8"],
        'sections',
        'Line 3 of the sections repeats art, year 8.',
    ],
    'half a student' => [['students' => "A,B\nGalia"], 'students', 'Line 2 of the students needs both'],
    'a section that is not there' => [
        ['students' => 'A,B,,8,Physics'],
        'students',
        'Line 1 of the students names a section that is not above: Physics, year 8.',
    ],
    'too many' => [['students' => str_repeat("A,B\n", 3001)], 'students', 'That is more than 3000 lines.'],
]);

test('so many are right', function () {
    expect(substr_count(typedSchool(['students' => str_repeat("A,B\n", 3000)])['users.csv'], "\n"))->toBe(4);
});

test(
    'the files word by word: one person stands once, and a section without a year is every year\'s',
    function () {
        $files = TypedSchool::files(
            ' Harbour School ',
            'Europe/Madrid',
            ' Spring ',
            LocalDate::parse('2027-01-11'),
            LocalDate::parse('2027-01-12'),
            "Marine Science\t8\tNuria\tHaddad\tn.haddad@school.example\n\n".
                " marine science ; 9 ; Nuria ; Haddad ; N.HADDAD@school.example \nChoir\n".
                "\"Art, and craft\",8,Ilan,Belmar\nHistory,9,Ilan,Belmar",
            "Galia,Zabalo,g@home.example,8\nRui;Mestre;;9;Choir| choir |Marine Science\nRui,Mestre,,8,\n".
                "Galia,Zabalo,G@home.example,8,Choir\nTeo,Kallas,,7",
        );
        // Without the heads, and without what every row has empty.
        $rows = array_map(
            fn (string $text): array => array_slice(explode("\n", str_replace("\r", '', rtrim($text))), 1),
            $files,
        );
        expect(counted($rows))->toBe([
            'orgs.csv' => ['SCHOOL,,Harbour School,school,Europe/Madrid'],
            'academicSessions.csv' => ['TERM-1,,Spring,term,2027-01-11,2027-01-12'],
            'courses.csv' => [
                'COURSE-1,,Marine Science,',
                'COURSE-2,,Choir,',
                'COURSE-3,,"Art, and craft",',
                'COURSE-4,,History,',
            ],
            'classes.csv' => [
                'SECTION-1,,Marine Science,8,COURSE-1,SCHOOL,TERM-1',
                'SECTION-2,,marine science,9,COURSE-1,SCHOOL,TERM-1',
                'SECTION-3,,Choir,,COURSE-2,SCHOOL,TERM-1',
                'SECTION-4,,"Art, and craft",8,COURSE-3,SCHOOL,TERM-1',
                'SECTION-5,,History,9,COURSE-4,SCHOOL,TERM-1',
            ],
            'users.csv' => [
                'TEACHER-1,,teacher,Nuria,Haddad,n.haddad@school.example,,',
                'TEACHER-2,,teacher,Ilan,Belmar,,,',
                'STUDENT-1,,student,Galia,Zabalo,g@home.example,8,',
                'STUDENT-2,,student,Rui,Mestre,,9,',
                'STUDENT-3,,student,Rui,Mestre,,8,',
                'STUDENT-4,,student,Teo,Kallas,,7,',
            ],
            'enrollments.csv' => [
                'ENROLMENT-1,,SECTION-1,TEACHER-1,teacher,true,,',
                'ENROLMENT-2,,SECTION-2,TEACHER-1,teacher,true,,',
                'ENROLMENT-3,,SECTION-4,TEACHER-2,teacher,true,,',
                'ENROLMENT-4,,SECTION-5,TEACHER-2,teacher,true,,',
                'ENROLMENT-5,,SECTION-1,STUDENT-1,student,false,,',
                'ENROLMENT-6,,SECTION-4,STUDENT-1,student,false,,',
                'ENROLMENT-7,,SECTION-3,STUDENT-2,student,false,,',
                'ENROLMENT-8,,SECTION-2,STUDENT-2,student,false,,',
                'ENROLMENT-9,,SECTION-1,STUDENT-3,student,false,,',
                'ENROLMENT-10,,SECTION-4,STUDENT-3,student,false,,',
                'ENROLMENT-11,,SECTION-3,STUDENT-1,student,false,,',
            ],
        ]);
    },
);
