<?php

// Whom the timetable meets outside the hours of their own clock.
return [
    'title' => 'Outside their hours',
    'link' => 'Who is outside their hours',
    'sum' => '{0} Nobody before :opens or after :closes|{1} 1 student before :opens or after :closes on their own '
        .'clock|'
        .'[2,*] :count students before :opens or after :closes on their own clock',
    'none' => 'Nobody is outside their hours',
    'none_hint' => 'No session to come is before :opens or after :closes on a student’s own clock.',
    'fix' => 'Find better times…',
    'columns' => ['Series', 'Where', 'On their clock', 'Students'],
    'sessions' => '1 session|:count sessions',
];
