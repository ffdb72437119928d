<?php

return [
    'choose' => 'Choose :name',
    'no_timetable' => 'no timetable yet',
    'link' => ['none' => '–', 'linked' => 'linked', 'unlinked' => 'no link', 'some' => ':n of :of'],
    'registered' => ':n of :of',
    'is' => [
        'wrong' => 'refused',
        'planned' => 'not published',
        'changed' => 'changed since',
        'published' => 'published',
    ],
];
