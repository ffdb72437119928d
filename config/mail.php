<?php

// The post office that ships with Nomada; a real one by MAIL_MAILER=smtp and the usual MAIL_… settings.
return [
    'default' => env('MAIL_MAILER', 'post-office'),
    'mailers' => [
        'post-office' => ['transport' => 'post-office'],
        'smtp' => [
            'transport' => 'smtp',
            'scheme' => env('MAIL_SCHEME'),
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 10,
        ],
        'array' => ['transport' => 'array'],
    ],
    'from' => [
        'address' => env('MAIL_FROM_ADDRESS', 'timetable@marisma.example'),
        'name' => env('MAIL_FROM_NAME', 'Timetable'),
    ],
];
