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

test('what is typed becomes the files that an import reads, without a fault', function () {
    $data = SchoolReader::read(typedSchool());
    expect($data->faults)
        ->toBe([])
        ->and($data->school['time_zone'])
        ->toBe('Europe/Madrid')
        ->and(array_column($data->sections, 'year', 'sourced_id'))
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
    expect($in)->toBe([
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
    'no name' => [['name' => ' '], 'name', 'The school and its term'],
    'no term' => [['term' => ''], 'term', 'The school and its term'],
    'a term of no day' => [['last' => '2027-01-11'], 'term_last', 'The term ends after'],
    'no section' => [['sections' => " \n"], 'sections', 'Write at least one section'],
    'half a teacher' => [['sections' => "Art,8\nMaths,8,Nadir"], 'sections', 'Line 2 of the sections needs'],
    'no title' => [['sections' => ',8'], 'sections', 'Line 1 of the sections needs'],
    'twice' => [
        ['sections' => "Art,8\n\nart,8"],
        'sections',
        'Line 3 of the sections is there twice: art, year 8.',
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
