<?php

return [
    'fields' => [
        'title' => 'Title',
        'open' => 'Open',
        'link' => 'Join link',
        'code' => 'Join code',
        'phone' => 'By phone',
        'meets' => 'Meets',
        'doors' => 'Doors',
        'sessions' => 'Sessions',
        'recordings' => 'Recordings',
        'week' => 'Week',
        'begins' => 'Begins',
        'event' => 'Event',
        'time' => 'Time',
        'text' => 'Text',
    ],
    'of_series' => ':field, :series',
];
