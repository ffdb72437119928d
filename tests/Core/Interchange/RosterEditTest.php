<?php

use Nomada\Core\Belonging\Role;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\RosterEdit;
use Nomada\Core\Interchange\SchoolReader;
use Nomada\Core\Term\LocalDate;
use Tests\Support\English;

/** A school of two sections called Art, one called History, a student, a teacher and a guardian. */
function seaRoster(): RosterEdit
{
    $users =
        'sourcedId,enabledUser,orgSourcedIds,role,username,givenName,familyName,identifier,email,'.
        'agentSourcedIds,grades';
    $enrolments = 'sourcedId,classSourcedId,schoolSourcedId,userSourcedId,role,primary,beginDate,endDate';
    $table = fn (string ...$lines): array => array_map(
        fn (string $l): array => explode(',', $l),
        array_values($lines),
    );

    return new RosterEdit([
        'orgs.csv' => $table('sourcedId,name,type,metadata.timeZone', 'SEA,Sea School,school,Europe/Madrid'),
        'academicSessions.csv' => $table(
            'sourcedId,title,type,startDate,endDate',
            'T,Spring,term,2027-01-11,2027-04-23',
        ),
        'courses.csv' => $table('sourcedId,title', 'ART,Art', 'HIS,History'),
        'classes.csv' => $table(
            'sourcedId,title,grades,courseSourcedId,schoolSourcedId,termSourcedIds',
            '7ART,Art,07,ART,SEA,T',
            '8ART,Art,08,ART,SEA,T',
            '8HIS,History,08,HIS,SEA,T',
        ),
        'users.csv' => $table(
            $users,
            'S-1,true,SEA,student,,Rui,Mestre,S-1,rui@sea.example,G-1,8',
            'T-1,true,SEA,teacher,,Nora,Pardo,T-1,nora@sea.example,,',
            'G-1,true,SEA,guardian,,Ana,Mestre,G-1,ana@home.example,,',
        ),
        'enrollments.csv' => $table($enrolments, 'E-1,8ART,SEA,S-1,student,false,,'),
    ]);
}

/** @return list<string> `name role email year: sections` of everybody, as an import reads it */
function peopleOf(RosterEdit $edit): array
{
    $data = SchoolReader::read($edit->texts());
    expect($data->faults)->toBe([]);
    $in = [];
    foreach ($data->enrolments as $e) {
        $in[$e['person']][] = $e['section'].rtrim(" $e[begins_on] $e[ends_on]");
    }

    return array_map(
        fn (array $p): string => trim(
            "$p[given_name] $p[family_name] $p[role] $p[email] $p[year]: ".
                implode(', ', $in[$p['sourced_id']] ?? []),
        ),
        array_values($data->people),
    );
}

it('adds people as they are pasted', function (string $typed, array $added) {
    $edit = seaRoster();
    expect($edit->add(Role::Student, $typed))->toBe([])->and(array_slice(peopleOf($edit), 3))->toBe($added);
})->with([
    'by commas' => [
        'Galia, Zabalo, galia@sea.example, 8, History|Art',
        ['Galia Zabalo student galia@sea.example 8: 8HIS, 8ART'],
    ],
    'from a spreadsheet, with headings in another order' => [
        "Email\tLast name\tFirst name\tClass\ngalia@sea.example\tZabalo\tGalia\t8HIS",
        ['Galia Zabalo student galia@sea.example : 8HIS'],
    ],
    'with Spanish headings' => [
        "Nombre;Apellidos;Correo;Familia;Correo de la familia\n".
            'Galia;Zabalo Ortiz;g@sea.example;Ana Mestre;ana@home.example',
        ['Galia Zabalo Ortiz student g@sea.example :'],
    ],
    'from an email' => [
        'Galia Zabalo Ortiz <galia@sea.example>',
        ['Galia Zabalo Ortiz student galia@sea.example :'],
    ],
    'a section by its title and year' => [
        'Galia,Zabalo,g@sea.example,,Y7 Art',
        ['Galia Zabalo student g@sea.example : 7ART'],
    ],
    'with a new guardian' => [
        'Galia,Zabalo,g@sea.example,8,History,Ines Ortiz,ines@home.example',
        ['Ines Ortiz guardian ines@home.example :', 'Galia Zabalo student g@sea.example 8: 8HIS'],
    ],
    'a brother or sister, with a guardian who is known' => [
        'Teo,Mestre,teo@sea.example,7,,Ana Mestre,ana@home.example',
        ['Teo Mestre student teo@sea.example 7:'],
    ],
]);

it('only adds sections to somebody who is known by email', function () {
    $edit = seaRoster();
    expect($edit->add(Role::Student, 'rui,mestre,RUI@sea.example,8,History|Art'))
        ->toBe([])
        ->and(peopleOf($edit)[0])
        ->toBe('Rui Mestre student rui@sea.example 8: 8ART, 8HIS')
        ->and(peopleOf($edit))
        ->toHaveCount(3);
});

it('says what is wrong with every line, and adds nothing', function () {
    $edit = seaRoster();
    $faults = $edit->add(
        Role::Student,
        "Galia\n\nGalia,Zabalo,galia at sea\nGalia,Zabalo,,8,Maths\nGalia,Zabalo,,,Art\nNora,Pardo,nora@sea.example\n"
            .'Rui,Mestre',
    );
    expect(array_map(fn (Fault $f): string => English::of($f), $faults))
        ->toBe([
            'Line 1: enter a given name and a family name.',
            'Line 3: “galia at sea” is not an email address.',
            'Line 4: no section is called “Maths”. Use its code, or its title with the year.',
            'Line 5: several sections are called “Art”. Use the section’s code.',
            'Line 6: the email address nora@sea.example belongs to Nora Pardo.',
            'Line 7: there is a Rui Mestre already. Add the email address, or leave the line out.',
        ])
        ->and(peopleOf($edit))
        ->toHaveCount(3);
    expect(English::of($edit->add(Role::Student, " \n")[0]))->toBe('Enter at least one person.');
});

it('changes somebody, and moves a student on a day', function () {
    $edit = seaRoster();
    $edit->change('S-1', ['familyName' => 'Mestre Gil', 'email' => '']);
    $edit->move('S-1', '8ART', '8HIS', LocalDate::parse('2027-02-15'));
    expect(peopleOf($edit)[0])->toBe('Rui Mestre Gil student  8: 8ART  2027-02-14, 8HIS 2027-02-15');
    expect(fn () => $edit->change('X', []))->toThrow(Fault::class);
});
