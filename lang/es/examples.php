<?php

// What is shown for a placeholder on the page where words are edited, before there is anything of a section's own.
return [
    'any' => [
        'change' => 'la clase del mar 9 feb se cancela: salida en barco',
        'child' => 'Ana Quiroga',
        'class' => '8.º Ciencias del Mar',
        'code' => 'BCDF-HJKM-NP en https://nomada.example/join',
        'doors' => 'La sesión se abre 10 minutos antes del comienzo.',
        'link' => 'https://nomada.example/join/…',
        'meets' => 'mar jue 10:00–10:45 Madrid',
        'missed' => '8.º Ciencias del Mar, mar 9 feb 10:00: Puertos',
        'name' => 'Ana Quiroga',
        'page' => 'https://nomada.example/me',
        'phone' => '+34 910 555 010, con el PIN 204 118',
        'reason' => 'Usa tu correo del centro.',
        'school' => 'Escuela Viajera Marisma',
        'series' => '8.º Ciencias del Mar: Prácticas',
        'sessions' => '8.º Ciencias del Mar, mar 9 feb 09:00–09:47',
        'sign_in' => 'ana.quiroga@marisma.example',
        'teacher' => 'N. Haddad',
        'title' => 'Prácticas',
        'until' => 'vie 26 feb',
        'week' => '5',
        'when' => 'mar 9 feb 09:00–09:45 en Santiago; jue 11 feb 09:00–09:45 en Santiago',
    ],
    // Where another one of the same name says more.
    'of' => [
        'declined' => ['page' => 'https://nomada.example/register/12'],
        'elsewhere' => ['page' => 'https://nomada.example/register/13'],
        'invitation' => ['link' => 'https://nomada.example/account/pass/…', 'until' => 'vie 12 feb 09:52'],
        'missed' => ['name' => 'Mar Quiroga', 'page' => 'https://nomada.example/children/…'],
        'not-here' => [
            'name' => 'Mar Quiroga',
            'page' => 'https://nomada.example/children/…',
            'when' => 'mar 9 feb 10:00',
        ],
        'received' => ['page' => 'https://nomada.example/register/12'],
        'recording' => [
            'name' => 'Mar Quiroga',
            'page' => 'https://nomada.example/children/…',
            'when' => 'mar 9 feb 10:00',
        ],
        'reset' => ['link' => 'https://nomada.example/account/pass/…', 'until' => 'vie 12 feb 09:52'],
    ],
];
