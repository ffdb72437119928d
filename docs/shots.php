<?php

// name => [page, whom the sign-in page offers ('' for nobody), size, dark, what is clicked first (CSS, parted by ;), or with ~ waited for]
return [
    'every-section' => ['/', 'A-01', '1280x800', false, 'tr.row-s:nth-child(9) input;tr.row-s:nth-child(13) input'],
    'every-section-dark' => ['/', 'A-01', '1280x800', true, ''],
    'section-editor' => ['/sections/8HIS', 'A-01', '1280x800', false, "a[href*='change=']:not([href*=new])"],
    'section' => ['/sections/8MAR', 'A-01', '1280x800', false, ''],
    'publish-plan' => ['/publishing', 'A-01', '1280x800', false, "button[data-section='9MAT-B']"],
    'timetable-week' => ['/timetable?week=7', 'A-01', '1280x800', false, ''],
    'clashes' => ['/timetable/clashes', 'A-01', '1280x800', false, ''],
    'term' => ['/term', 'A-01', '1280x800', false, ''],
    'today' => ['/today', 'A-01', '1280x800', false, ''],
    'student' => ['/me', 'S-8-001', '390x844', false, ''],
    'door-early' => ['/me', 'S-8-001', '390x844', false, '.coming li:nth-child(1) a'],
    'sign-in' => ['/sign-in', '', '1280x800', false, ''],
    // Last, since it publishes: on a fresh demo it is caught half way.
    'publish-run' => ['/publishing', 'A-01', '1280x800', false, '.tray .btn-main;~.lane:nth-child(2) progress:not([value="0"])'],
];
