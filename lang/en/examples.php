<?php

// What is shown for a placeholder on the page where words are edited, before there is anything of a section's own.
return [
    'any' => [
        'change' => 'Tue 9 Feb is cancelled: boat trip',
        'child' => 'Ana Quiroga',
        'class' => 'Y8 Marine Science',
        'code' => 'BCDF-HJKM-NP at https://nomada.example/join',
        'doors' => 'The session opens 10 minutes before the start.',
        'link' => 'https://nomada.example/join/…',
        'meets' => 'Tue Thu 10:00–10:45 Madrid',
        'missed' => 'Y8 Marine Science, Tue 9 Feb 10:00: Harbours',
        'name' => 'Ana Quiroga',
        'page' => 'https://nomada.example/me',
        'phone' => '+34 910 555 010, PIN 204 118',
        'reason' => 'Use your school email address.',
        'school' => 'Colegio Marisma',
        'series' => 'Y8 Marine Science: Practical',
        'sessions' => 'Y8 Marine Science, Tue 9 Feb 09:00–09:47',
        'sign_in' => 'ana.quiroga@marisma.example',
        'teacher' => 'N. Haddad',
        'title' => 'Practical',
        'until' => 'Fri 26 Feb',
        'week' => '5',
        'when' => 'Tue 9 Feb 09:00–09:45 in Santiago; Thu 11 Feb 09:00–09:45 in Santiago',
    ],
    // Where another one of the same name says more.
    'of' => [
        'declined' => ['page' => 'https://nomada.example/register/12'],
        'elsewhere' => ['page' => 'https://nomada.example/register/13'],
        'invitation' => ['link' => 'https://nomada.example/account/pass/…', 'until' => 'Fri 12 Feb 09:52'],
        'missed' => ['name' => 'Mar Quiroga', 'page' => 'https://nomada.example/children/…'],
        'not-here' => [
            'name' => 'Mar Quiroga',
            'page' => 'https://nomada.example/children/…',
            'when' => 'Tue 9 Feb 10:00',
        ],
        'received' => ['page' => 'https://nomada.example/register/12'],
        'recording' => [
            'name' => 'Mar Quiroga',
            'page' => 'https://nomada.example/children/…',
            'when' => 'Tue 9 Feb 10:00',
        ],
        'reset' => ['link' => 'https://nomada.example/account/pass/…', 'until' => 'Fri 12 Feb 09:52'],
    ],
];
