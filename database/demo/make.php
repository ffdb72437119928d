<?php

declare(strict_types=1);

// Writes database/demo/marisma, the demo school as an import folder, from a fixed seed. Run once; the result is
// committed and read by the ordinary import. All people are invented.  Usage: php database/demo/make.php [FOLDER]

use Random\Engine\Mt19937;
use Random\Randomizer;

$folder = $argv[1] ?? __DIR__.'/marisma';
is_dir($folder) || mkdir($folder, 0777, true);
$random = new Randomizer(new Mt19937(20270111));

$given = [
    'Ainara',
    'Bilal',
    'Carmo',
    'Dario',
    'Edurne',
    'Farid',
    'Galia',
    'Hamza',
    'Iria',
    'Joaquim',
    'Karima',
    'Leire',
    'Mateo',
    'Nadia',
    'Oihana',
    'Paulo',
    'Quim',
    'Rania',
    'Soraya',
    'Tomé',
    'Uxía',
    'Vasco',
    'Wafa',
    'Xoán',
    'Yara',
    'Zuriñe',
    'Alba',
    'Bruno',
    'Celia',
    'Duarte',
    'Eleni',
    'Fermín',
    'Goretti',
    'Hugo',
    'Inês',
    'Jalil',
    'Kostas',
    'Lúa',
    'Mouna',
    'Nuno',
    'Olalla',
    'Petra',
    'Rui',
    'Samir',
    'Teo',
    'Vega',
];
$family = [
    'Abascal Rey',
    'Benhaddou',
    'Carvalhal',
    'Doural',
    'Echeverz',
    'Fontao',
    'Garrido Sanz',
    'Haddouchi',
    'Iglesias Mar',
    'Jardón',
    'Kallas',
    'Louzao',
    'Mestre',
    'Nogueirol',
    'Ouazzani',
    'Piñeiral',
    'Quirós',
    'Rebelo',
    'Salgueiro',
    'Tavares Luz',
    'Urdiales',
    'Vilanova',
    'Xerez',
    'Yáñez',
    'Zabalo',
    'de la Riba',
    'do Couto',
    'El Mansor',
    "O'Farrell",
    'Papadis',
    'Ferreirós',
    'Mirás',
    'Teixeiral',
    'Brañas',
    'Cotelo',
    'Soutiño',
];
$zones = [
    'Europe/Madrid' => 58,
    'Atlantic/Canary' => 14,
    'Africa/Casablanca' => 9,
    'Europe/Lisbon' => 9,
    'Atlantic/Azores' => 5,
    'Europe/Athens' => 5,
];
$teachers = [
    'T-01' => ['Inés', 'Belmar'],
    'T-02' => ['Nadir', 'Haddad'],
    'T-03' => ['Lucía', 'Aranda'],
    'T-04' => ['Sam', 'Okoro'],
    'T-05' => ['Rosa', 'Vidal'],
    'T-06' => ['Pedro', 'Quiroga'],
    'T-07' => ['Teresa', 'Serra'],
    'T-08' => ['Mary', 'Lowell'],
    'T-09' => ['Abel', 'Fontes'],
    'T-10' => ['Dora', 'Marín'],
    'T-11' => ['Koldo', 'Sola'],
    'T-12' => ['Berta', 'Ruiz'],
];

// section => [title, course code, teacher, first and last student of the year (0 to 44), first day and start, minutes,
// rule ('' for no timetable yet)]
$until = 'UNTIL=20270423T215959Z';
$sections = [
    '7MAT-A' => [
        'Mathematics A',
        '7MAT',
        'T-01',
        0,
        22,
        '2027-01-11T10:00',
        45,
        "FREQ=WEEKLY;BYDAY=MO,WE,FR;$until",
    ],
    '7MAT-B' => [
        'Mathematics B',
        '7MAT',
        'T-07',
        23,
        44,
        '2027-01-11T10:00',
        45,
        "FREQ=WEEKLY;BYDAY=MO,WE,FR;$until",
    ],
    '7NAV' => ['Navigation', '7NAV', 'T-04', 0, 25, '2027-01-12T11:15', 45, "FREQ=WEEKLY;BYDAY=TU,TH;$until"],
    '7SPA' => [
        'Spanish Language',
        '7SPA',
        'T-05',
        0,
        27,
        '2027-01-11T09:00',
        40,
        "FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR;$until",
    ],
    '7ENG' => ['English', '7ENG', 'T-08', 12, 38, '2027-01-11T12:00', 50, "FREQ=WEEKLY;BYDAY=MO,WE;$until"],
    '7ART' => ['Art', '7ART', 'T-10', 18, 44, '2027-01-15T13:00', 60, 'FREQ=WEEKLY;BYDAY=FR;COUNT=15'],
    '8MAR' => ['Marine Science', '8MAR', 'T-02', 0, 21, '2027-01-12T10:00', 47, "FREQ=WEEKLY;BYDAY=TU,TH;$until"],
    '8HIS' => ['History', '8HIS', 'T-03', 3, 26, '2027-01-14T10:30', 45, 'FREQ=WEEKLY;BYDAY=TH;UNTIL=20270422'],
    '8MUS' => [
        'Music Workshop',
        '8MUS',
        'T-06',
        26,
        44,
        '2027-01-13T14:00',
        90,
        "FREQ=WEEKLY;INTERVAL=2;BYDAY=WE;$until",
    ],
    '8MAT-A' => [
        'Mathematics A',
        '8MAT',
        'T-01',
        0,
        25,
        '2027-01-11T11:00',
        45,
        "FREQ=WEEKLY;BYDAY=MO,WE,FR;$until",
    ],
    '8SPA' => [
        'Spanish Language',
        '8SPA',
        'T-05',
        10,
        37,
        '2027-01-11T12:30',
        40,
        "FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR;$until",
    ],
    '8ENG' => ['English', '8ENG', 'T-08', 15, 44, '2027-01-12T13:15', 50, "FREQ=WEEKLY;BYDAY=TU,FR;$until"],
    '9MAT-B' => [
        'Mathematics B',
        '9MAT',
        'T-07',
        9,
        34,
        '2027-01-11T12:00',
        45,
        "FREQ=WEEKLY;BYDAY=MO,WE,FR;$until",
    ],
    '9ENG' => ['English', '9ENG', 'T-08', 0, 29, '2027-01-12T09:00', 50, "FREQ=WEEKLY;BYDAY=TU,TH;$until"],
    '9GEO' => ['Geography', '9GEO', 'T-04', 18, 44, '2027-01-11T13:00', 70, "FREQ=WEEKLY;BYDAY=MO,TH;$until"],
    '9CIV' => ['Civics', '9CIV', 'T-09', 0, 20, '2027-01-15T11:00', 45, "FREQ=WEEKLY;BYDAY=FR;$until"],
    '9CHE' => ['Chemistry', '9CHE', 'T-11', 20, 44, '2027-01-13T08:30', 45, "FREQ=WEEKLY;BYDAY=WE,FR;$until"],
    '9MUS' => [
        'Music Workshop',
        '9MUS',
        'T-06',
        5,
        24,
        '2027-01-15T12:30',
        90,
        "FREQ=WEEKLY;INTERVAL=2;BYDAY=FR;$until",
    ],
    '10MAR' => ['Marine Science', '10MAR', 'T-02', 0, 23, '2027-01-12T12:00', 50, "FREQ=WEEKLY;BYDAY=TU,TH;$until"],
    '10ENG' => ['English', '10ENG', 'T-08', 16, 44, '2027-01-11T14:00', 60, "FREQ=WEEKLY;BYDAY=MO,WE;$until"],
    '10CHE' => ['Chemistry', '10CHE', 'T-11', 0, 22, '2027-01-15T09:15', 75, "FREQ=WEEKLY;BYDAY=FR;$until"],
    '10ECO' => ['Economics', '10ECO', 'T-12', 23, 44, '2027-01-12T10:00', 50, "FREQ=WEEKLY;BYDAY=TU,TH;$until"],
    '10CIV' => ['Civics', '10CIV', 'T-09', 10, 36, '2027-02-03T11:00', 60, 'FREQ=MONTHLY;BYDAY=1WE;COUNT=3'],
    '10STA' => ['Statistics', '10STA', 'T-07', 5, 30, '', 0, ''],
];

$csv = function (string $name, array $header, array $rows) use ($folder): void {
    $out = fopen("$folder/$name", 'w');
    foreach ([$header, ...$rows] as $row) {
        fputcsv($out, $row, escape: '');
    }
    fclose($out);
};
$stamp = '2026-12-01T08:00:00.000Z';
$ascii = fn (string $s): string => preg_replace(
    '/[^a-z]+/',
    '',
    strtolower(Transliterator::create('Any-Latin; Latin-ASCII')->transliterate($s)),
);

$csv(
    'manifest.csv',
    ['propertyName', 'value'],
    [
        ['manifest.version', '1.0'],
        ['oneroster.version', '1.1'],
        ...array_map(fn (string $f): array => ["file.$f", 'bulk'], [
            'academicSessions',
            'classes',
            'courses',
            'enrollments',
            'orgs',
            'users',
        ]),
        ['source.systemName', 'Marisma office'],
    ],
);
$csv(
    'orgs.csv',
    [
        'sourcedId',
        'status',
        'dateLastModified',
        'name',
        'type',
        'identifier',
        'parentSourcedId',
        'metadata.timeZone',
    ],
    [['MTS', '', '', 'Marisma Travelling School', 'school', 'MTS', '', 'Europe/Madrid']],
);
$csv(
    'academicSessions.csv',
    [
        'sourcedId',
        'status',
        'dateLastModified',
        'title',
        'type',
        'startDate',
        'endDate',
        'parentSourcedId',
        'schoolYear',
    ],
    [['2027-SPRING', '', '', 'Spring term', 'term', '2027-01-11', '2027-04-23', '', '2027']],
);
$courses = $classes = $enrolments = $timetable = [];
foreach ($sections as $id => [$title, $code, $teacher, $first, $last, $starts, $minutes, $rule]) {
    $year = (int) $code;
    $courses[$code] = [
        $code,
        '',
        '',
        '',
        preg_replace('/ [AB]$/', '', $title),
        $code,
        str_pad((string) $year, 2, '0', STR_PAD_LEFT),
        'MTS',
    ];
    $classes[] = [
        $id,
        '',
        '',
        $title,
        str_pad((string) $year, 2, '0', STR_PAD_LEFT),
        $code,
        'scheduled',
        '',
        'MTS',
        '2027-SPRING',
    ];
    $enrolments[] = ["E-$id-$teacher", '', '', $id, 'MTS', $teacher, 'teacher', 'true', '', ''];
    foreach (range($first, $last) as $n) {
        $student = sprintf('S-%d-%03d', $year, $n + 1);
        // One joins late and one leaves, so that rosters are seen to move.
        [$begins, $ends] = match ("$id $n") {
            '8MAR 21' => ['2027-02-01', ''],
            '7NAV 25' => ['', '2027-02-19'],
            default => ['', ''],
        };
        $enrolments[] = ["E-$id-$student", '', '', $id, 'MTS', $student, 'student', 'false', $begins, $ends];
    }
    if ($rule !== '') {
        $timetable[] = [$id, $title, $starts, $minutes, 'Europe/Madrid', $rule];
    }
}
$enrolments[] = ['E-8MUS-T-10', '', '', '8MUS', 'MTS', 'T-10', 'aide', 'false', '', ''];
$enrolments[] = ['E-7NAV-A-02', '', '', '7NAV', 'MTS', 'A-02', 'proctor', 'false', '', ''];

$users = [];
$person = fn (
    string $id,
    string $role,
    string $g,
    string $f,
    string $email,
    string $year,
    string $agents,
    string $zone,
): array => [$id, '', '', 'true', 'MTS', $role, $email, $g, $f, $id, $email, $year, $agents, $zone];
$users[] = $person(
    'A-01',
    'administrator',
    'Candela',
    'Marrero',
    'candela.marrero@marisma.example',
    '',
    '',
    'Europe/Madrid',
);
$users[] = $person(
    'A-02',
    'administrator',
    'Gil',
    'Soutelo',
    'gil.soutelo@marisma.example',
    '',
    '',
    'Europe/Madrid',
);
foreach ($teachers as $id => [$g, $f]) {
    $users[] = $person(
        $id,
        'teacher',
        $g,
        $f,
        $ascii($g).'.'.$ascii($f).'@marisma.example',
        '',
        '',
        $id === 'T-02' ? 'Africa/Casablanca' : 'Europe/Madrid',
    );
}
$weighted = [];
foreach ($zones as $zone => $weight) {
    array_push($weighted, ...array_fill(0, $weight, $zone));
}
$taken = [];
$guardians = [];
foreach (range(7, 10) as $year) {
    foreach (range(1, 45) as $n) {
        do {
            $g = $given[$random->getInt(0, count($given) - 1)];
            $f = $family[$random->getInt(0, count($family) - 1)];
            $email = $ascii($g).'.'.$ascii($f).'@marisma.example';
        } while (isset($taken[$email]));
        $taken[$email] = true;
        $id = sprintf('S-%d-%03d', $year, $n);
        $zone = $weighted[$random->getInt(0, count($weighted) - 1)];
        // The demo student is on the islands, an hour behind the school.
        $zone = $id === 'S-8-001' ? 'Atlantic/Canary' : $zone;
        $agent = '';
        if ($random->getInt(1, 10) <= 8) {
            $agent = sprintf('G-%d-%03d', $year, $n);
            $gg = $given[$random->getInt(0, count($given) - 1)];
            $guardians[] = $person(
                $agent,
                'guardian',
                $gg,
                $f,
                $ascii($gg).'.'.$ascii($f).'.'.$year.$n.'@familia.example',
                '',
                '',
                $zone,
            );
        }
        $users[] = $person(
            $id,
            'student',
            $g,
            $f,
            $email,
            str_pad((string) $year, 2, '0', STR_PAD_LEFT),
            $agent,
            $zone,
        );
    }
}
$csv(
    'courses.csv',
    [
        'sourcedId',
        'status',
        'dateLastModified',
        'schoolYearSourcedId',
        'title',
        'courseCode',
        'grades',
        'orgSourcedId',
    ],
    array_values($courses),
);
$csv(
    'classes.csv',
    [
        'sourcedId',
        'status',
        'dateLastModified',
        'title',
        'grades',
        'courseSourcedId',
        'classType',
        'location',
        'schoolSourcedId',
        'termSourcedIds',
    ],
    $classes,
);
$csv(
    'users.csv',
    [
        'sourcedId',
        'status',
        'dateLastModified',
        'enabledUser',
        'orgSourcedIds',
        'role',
        'username',
        'givenName',
        'familyName',
        'identifier',
        'email',
        'grades',
        'agentSourcedIds',
        'metadata.timeZone',
    ],
    [...$users, ...$guardians],
);
$csv(
    'enrollments.csv',
    [
        'sourcedId',
        'status',
        'dateLastModified',
        'classSourcedId',
        'schoolSourcedId',
        'userSourcedId',
        'role',
        'primary',
        'beginDate',
        'endDate',
    ],
    $enrolments,
);
$csv('timetable.csv', ['class_sourced_id', 'title', 'dtstart', 'minutes', 'tzid', 'rrule'], $timetable);

$events = '';
foreach (
    [
        ['staff-day', '20270129', '20270130', 'Staff day'],
        ['carnival', '20270215', '20270218', 'Carnival'],
        ['easter', '20270322', '20270403', 'Easter break'],
    ] as [$uid, $from, $to, $why]
) {
    $events .=
        "BEGIN:VEVENT\r\nUID:$uid@marisma.example\r\nDTSTAMP:20261201T080000Z\r\nSUMMARY:$why\r\n".
        "DTSTART;VALUE=DATE:$from\r\nDTEND;VALUE=DATE:$to\r\nEND:VEVENT\r\n";
}
file_put_contents(
    "$folder/closures.ics",
    "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Marisma//Office//EN\r\n{$events}END:VCALENDAR\r\n",
);
