<?php

use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\SchoolData;
use Nomada\Core\Interchange\SchoolReader;

/** @param  array<string, string>  $with  whole files instead of, or beside, those of two classes */
function roster(array $with = [], string $zone = ''): SchoolData
{
    $files = [
        'orgs.csv' => "sourcedId,name,type,metadata.timeZone\nD,Coast,district,\nO,Marisma,school,Europe/Madrid\n",
        'academicSessions.csv' => "sourcedId,title,type,startDate,endDate\nY,Year,schoolYear,2026-09-01,2027-06-30\n".
            "S,Spring,term,2027-01-11,2027-04-23\nG,Marks,gradingPeriod,2027-01-11,2027-02-01\n".
            "F,Autumn,semester,2026-09-01,2026-09-01\n",
        'courses.csv' => "sourcedId,title,courseCode\nC1,Marine Science,MAR\nC2,History,\n",
        'classes.csv' => "sourcedId,title,courseSourcedId,termSourcedIds,grades\n".
            "A,Marine A,C1,\" , S ,F\",08\nB,History B,C2,F,10\n",
        'users.csv' => 'sourcedId,role,givenName,familyName,email,enabledUser,grades,agentSourcedIds,'.
            "metadata.timeZone,metadata.language\n".
            "s1,student,Ana,Quiroga,Ana@School.Example,TRUE,07,\" g1, ,g9\",Atlantic/Canary,es-419\n".
            "s2,student,Rui,Mestre,,,,,,\n".
            "t1,aide,Nadir,Haddad,n@school.example,1,,s1,,\n".
            "g1,relative,Iria,Quiroga,i@school.example,False,,,,es\n".
            "a1,administrator,Candela,Marrero,c@school.example,0,,,,\n",
        'enrollments.csv' => "sourcedId,classSourcedId,userSourcedId,role,primary,beginDate,endDate\n".
            "e1,A,s1,student,,2027-01-11,2027-01-11\ne2,A,t1,teacher,TRUE,,\ne3,B,t1,aide,0,,2027-02-01\n".
            "e4,B,a1,administrator,1,2027-02-01,\ne5,A,a1,proctor,False,,\n",
    ];

    return SchoolReader::read(array_filter([...$files, ...$with], fn (string $t): bool => $t !== '-'), $zone);
}

/** @return list<string> file, line, column and code of each */
function rosterFaults(array $faults): array
{
    return array_map(
        fn (ImportFault $f): string => "$f->file $f->line $f->column {$f->expected->says}".
            ($f->found === '' ? '' : " <$f->found>").
            ($f->expected->with === [] ? '' : ' '.json_encode($f->expected->with)),
        $faults,
    );
}

test('every column of a roster is read as what it means', function () {
    $data = roster();
    expect(rosterFaults($data->faults))
        ->toBe([])
        ->and(rosterFaults($data->warnings))
        ->toBe(['users.csv 2 agentSourcedIds roster.guardian <g9>'])
        ->and($data->school)
        ->toBe(['sourced_id' => 'O', 'name' => 'Marisma', 'time_zone' => 'Europe/Madrid'])
        ->and($data->needsZone)
        ->toBeFalse()
        ->and($data->terms)
        ->toBe([
            'S' => [
                'sourced_id' => 'S',
                'title' => 'Spring',
                'starts_on' => '2027-01-11',
                'ends_on' => '2027-04-23',
            ],
            'F' => [
                'sourced_id' => 'F',
                'title' => 'Autumn',
                'starts_on' => '2026-09-01',
                'ends_on' => '2026-09-01',
            ],
        ])
        ->and($data->courses)
        ->toBe([
            'C1' => ['sourced_id' => 'C1', 'title' => 'Marine Science', 'code' => 'MAR'],
            'C2' => ['sourced_id' => 'C2', 'title' => 'History', 'code' => ''],
        ])
        ->and(array_map(array_values(...), array_values($data->sections)))
        ->toBe([
            ['A', 'Marine A', 'MAR', '8', 'C1', 'S'],
            ['B', 'History B', '', '10', 'C2', 'F'],
        ])
        ->and(array_map(array_values(...), array_values($data->people)))
        ->toBe([
            ['s1', 'student', 'Ana', 'Quiroga', 'ana@school.example', true, '7', 'Atlantic/Canary', 'es-419', ['g1']],
            ['s2', 'student', 'Rui', 'Mestre', null, null, '', 'Europe/Madrid', null, []],
            ['t1', 'teacher', 'Nadir', 'Haddad', 'n@school.example', true, '', 'Europe/Madrid', null, []],
            ['g1', 'guardian', 'Iria', 'Quiroga', 'i@school.example', false, '', 'Europe/Madrid', 'es', []],
            ['a1', 'coordinator', 'Candela', 'Marrero', 'c@school.example', false, '', 'Europe/Madrid', null, []],
        ])
        ->and(array_map(array_values(...), array_values($data->enrolments)))
        ->toBe([
            ['e1', 'A', 's1', 'student', false, '2027-01-11', '2027-01-11'],
            ['e2', 'A', 't1', 'teacher', true, null, null],
            ['e3', 'B', 't1', 'co-teacher', false, null, '2027-02-01'],
            ['e4', 'B', 'a1', 'observer', true, '2027-02-01', null],
            ['e5', 'A', 'a1', 'observer', false, null, null],
        ])
        ->and(array_keys($data->people))
        ->toBe(['s1', 's2', 't1', 'g1', 'a1'])
        ->and([$data->closures, $data->series])
        ->toBe([null, null]);
});

test('what is wrong with a row is told of that row alone, and the next one is read', function (
    string $file,
    string $rows,
    array $faults,
    string $kept,
    array $keys,
    array $warnings = [],
) {
    $head = match ($file) {
        'orgs.csv' => 'sourcedId,name,type,metadata.timeZone',
        'academicSessions.csv' => 'sourcedId,title,type,startDate,endDate',
        'classes.csv' => 'sourcedId,title,courseSourcedId,termSourcedIds,grades',
        'users.csv' => 'status,sourcedId,role,givenName,familyName,email,enabledUser,metadata.language',
        'enrollments.csv' => 'sourcedId,classSourcedId,userSourcedId,role,primary,beginDate,endDate',
    };
    // What refers to it follows from it, and has tests of its own.
    $alone = $file === 'users.csv' ? ['enrollments.csv' => "sourcedId,classSourcedId,userSourcedId,role\n"] : [];
    $data = roster([$file => "$head\n$rows\n", ...$alone]);
    expect(rosterFaults($data->faults))
        ->toBe($faults)
        ->and(rosterFaults($data->warnings))
        ->toBe($file === 'users.csv' ? $warnings : ['users.csv 2 agentSourcedIds roster.guardian <g9>'])
        ->and(array_keys((array) $data->$kept))
        ->toBe($keys);
})->with([
    'a second school' => [
        'orgs.csv',
        "O,Marisma,school,Europe/Madrid\nP,Other,school,Europe/Paris\nQ,Third,school,",
        ['orgs.csv 3 type roster.second <school>', 'orgs.csv 4 type roster.second <school>'],
        'school',
        ['sourced_id', 'name', 'time_zone'],
    ],
    'no school' => [
        'orgs.csv',
        "D,Coast,district,\nE,Hills,district,",
        ['orgs.csv 3 type roster.school <district>'],
        'school',
        [],
    ],
    'terms' => [
        'academicSessions.csv',
        "a,A,week,2027-01-11,2027-04-23\nb,B,term,x,2027-04-23\nc,C,term,2027-01-11,\nd,D,term,2027-01-12,2027-01-11\n".
            "S,Spring,term,2027-01-11,2027-04-23\nF,Autumn,term,2027-01-11,2027-01-11",
        [
            'academicSessions.csv 2 type roster.session <week>',
            'academicSessions.csv 3 startDate roster.date <x>',
            'academicSessions.csv 4 endDate roster.date',
            'academicSessions.csv 5 endDate roster.ends <2027-01-11> {"first":"2027-01-12"}',
        ],
        'terms',
        ['S', 'F'],
    ],
    'classes' => [
        'classes.csv',
        "A,A,C9,S,\nX,X,C1,\" \",\nY,Y,C1,G,\n,Z,C1,S,\nW,,C1,S,\nB,B,C2,S,",
        [
            'classes.csv 2 courseSourcedId roster.reference <C9> {"file":"courses.csv"}',
            'classes.csv 3 termSourcedIds roster.term',
            'classes.csv 4 termSourcedIds roster.term <G>',
            'classes.csv 5 sourcedId roster.empty',
            'classes.csv 6 title roster.empty',
        ],
        'sections',
        ['B'],
    ],
    'people' => [
        'users.csv',
        ",a,cook,A,A,,,\n,b,student,B,B,b@,,\n,c,student,C,C,,perhaps,\n,d,teacher,,D,d@x.example,,\n".
            ",e,student,E,E,D@x.example,,english please\nToBeDeleted,f,student,F,F,,,\n,d,student,D,D,,,\n".
            ",g,parent,G,G,ñ@x.example,,\n,h,guardian,H,H,,,\n,i,proctor,I,I,,,",
        [
            'users.csv 3 email roster.email <b@>',
            'users.csv 4 enabledUser roster.bool <perhaps>',
            'users.csv 8 sourcedId roster.own_id <d> {"line":5}',
        ],
        'people',
        ['d', 'e', 'g', 'h', 'i'],
        [
            'users.csv 2 role roster.role <cook> {"roles":["student","teacher","aide","proctor","administrator",'.
                '"guardian","parent","relative"]}',
            'users.csv 5 givenName roster.given',
            'users.csv 6 email roster.same_address <D@x.example> {"line":5}',
            'users.csv 6 metadata.language roster.language <english please>',
        ],
    ],
    'enrolments' => [
        'enrollments.csv',
        "a,A,s1,cook,,,\nb,A,s1,teacher,,,\nc,A,g1,aide,,,\nd,A,s1,student,maybe,,\ne,A,s1,student,,x,\n".
            "f,A,s1,student,,,2027-02-30\ng,A,s1,student,,2027-02-02,2027-02-01\nh,A,s1,student,0,,\n".
            "i,A,s1,student,,,\nj,B,s1,student,,,\nk,A,s2,student,false,,\nl,A,s1,proctor,,,\nm,Z,s1,student,,,\n".
            'n,A,zz,student,,,',
        [
            'enrollments.csv 2 role roster.part <cook>',
            'enrollments.csv 3 role roster.staff <teacher> {"person":"s1","account":"student"}',
            'enrollments.csv 4 role roster.staff <aide> {"person":"g1","account":"guardian"}',
            'enrollments.csv 5 primary roster.bool <maybe>',
            'enrollments.csv 6 beginDate roster.date <x>',
            'enrollments.csv 7 endDate roster.date <2027-02-30>',
            'enrollments.csv 8 endDate roster.part_ends <2027-02-01> {"begins":"2027-02-02"}',
            'enrollments.csv 10 userSourcedId roster.twice <s1> {"line":9}',
            'enrollments.csv 14 classSourcedId roster.reference <Z> {"file":"classes.csv"}',
            'enrollments.csv 15 userSourcedId roster.reference <zz> {"file":"users.csv"}',
        ],
        'enrolments',
        ['h', 'j', 'k', 'l'],
    ],
]);

test('what refers to a faulty row is counted with that row, and is no fault of its own', function () {
    $data = roster([
        'academicSessions.csv' => "sourcedId,title,type,startDate,endDate\nS,Spring,term,2027-04-23,2027-01-11\n".
            "F,Autumn,term,x,2027-01-11\n",
    ]);
    expect(rosterFaults($data->faults))
        ->toBe([
            'academicSessions.csv 2 endDate roster.ends <2027-01-11> {"first":"2027-04-23"}',
            'academicSessions.csv 3 startDate roster.date <x>',
        ])
        // Of each term its class, and of each class those who are in it.
        ->and([$data->followed['academicSessions.csv, line 2'], $data->followed['academicSessions.csv, line 3']])
        ->toBe([1, 1])
        ->and(array_sum($data->followed))
        ->toBe(7)
        ->and([$data->sections, $data->enrolments])
        ->toBe([[], []]);
});

test('a school without a zone asks for one, or takes the one that is given', function () {
    $orgs = "sourcedId,name,type,metadata.timeZone\nO,Marisma,school,\n";
    $without = roster(['orgs.csv' => $orgs]);
    expect($without->needsZone)
        ->toBeTrue()
        ->and(rosterFaults($without->faults)[0])
        ->toBe('orgs.csv 2 metadata.timeZone roster.zone')
        ->and(roster(['orgs.csv' => $orgs], 'Atlantic/Canary')->school['time_zone'])
        ->toBe('Atlantic/Canary')
        ->and(roster(['orgs.csv' => $orgs], 'Atlantic/Canary')->needsZone)
        ->toBeFalse()
        ->and(roster(['orgs.csv' => str_replace('school,', 'school,Coast', $orgs)], 'Atlantic/Canary')->needsZone)
        ->toBeFalse()
        // What the file says goes before what is given.
        ->and(roster(zone: 'Atlantic/Canary')->people['s2']['time_zone'])
        ->toBe('Europe/Madrid');
});

test('each file that has to be there is missed by its name', function (string $file) {
    expect(rosterFaults(roster([$file => '-'])->faults)[0])->toBe("$file 0  roster.file ".json_encode(compact('file')));
})->with(['orgs.csv', 'academicSessions.csv', 'courses.csv', 'classes.csv', 'users.csv', 'enrollments.csv']);
