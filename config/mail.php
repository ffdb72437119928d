<?php

// Where the post office is is in config/places.php (POST_KIND) or on the page Places.
return [
    'default' => 'post-office',
    'mailers' => [
        'post-office' => ['transport' => 'post-office'],
        'array' => ['transport' => 'array'],
    ],
    'from' => [
        'address' => env('MAIL_FROM_ADDRESS', 'timetable@marisma.example'),
        'name' => env('MAIL_FROM_NAME', 'Timetable'),
    ],
];
