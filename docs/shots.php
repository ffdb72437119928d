<?php

// name => [page, whom the sign-in page offers ('' for nobody), size, dark, what is clicked first (CSS, parted by ;), or
// with ~ waited for]
return [
    'every-section' => [
        '/',
        'A-01',
        '1280x800',
        false,
        'tr.row-s:nth-child(3) input;tr.row-s:nth-child(4) input;~.times .btn',
    ],
    'section' => ['/sections/8MAR', 'A-01', '1280x800', false, ''],
    'publish-plan' => ['/publishing', 'A-01', '1280x800', false, "button[data-section='9MAT-B']"],
    'fix-clashes' => ['/timetable/fix', 'A-01', '1280x800', false, '#ask > .btn;~.fix-moves'],
    'place-series' => ['/timetable/place', 'A-01', '1280x800', false, '#ask > .btn;~.fix-moves'],
    'look' => ['/people/S-8-001/look', 'A-01', '1280x800', false, ''],
    'places' => ['/publishing/places#calendar', 'A-01', '1280x800', false, '#calendar summary'],
    'timetable-week' => ['/timetable?week=7', 'A-01', '1280x800', false, ''],
    'licences' => ['/timetable/licences', 'A-01', '1280x800', false, ''],
    'term' => ['/term/closing?first=2+Mar&last=3+Mar&reason=Storm', 'A-01', '1280x800', false, ''],
    'joining' => ['/joining', 'A-01', '1280x800', false, 'tr.row-c:nth-child(3) input;tr.row-c:nth-child(5) input'],
    'registration-desk' => ['/registration/desk', 'A-01', '1280x800', false, ''],
    // The teacher comes in for the lesson of ten, and then looks at its rehearsal; a student comes in after that.
    'live-desk' => [
        '/today',
        'T-02',
        '1280x800',
        false,
        ".next-lesson a[href*='/live/'];.bar .end .btn-main;~.said;.bar .end a[href*=rehearsal];".
        '.warn button;~.said;.warn button;~.a-who b.todo',
    ],
    'room' => ['/me', 'S-8-001', '390x844', false, '.next-up .act.main;.act.main;#no-camera;~.talk li'],
    'today' => ['/today', 'A-01', '1280x800', false, ''],
    // In Spanish, as the student has chosen it.
    'student' => [
        '/me',
        'S-8-001',
        '390x844',
        false,
        "select[name=language] option[value=es];form[action$='/me/language'] button;~.said",
    ],
    'attendance' => ['/records/sections/8MAR', 'A-01', '1280x800', false, ''],
    'recording' => ['/records?date=2027-02-04', 'A-01', '1280x800', false, "td a[href*='/recordings/']"],
];
