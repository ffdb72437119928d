<?php

return [
    'label' => 'Steps',
    'stops' => [
        'term' => 'Term',
        'timetable' => 'Timetable',
        'joining' => 'Join links',
        'registration' => 'Registration',
        'publishing' => 'Publish',
        'today' => 'Today',
        'records' => 'Attendance',
    ],
    'says' => [
        'begin' => 'import a school',
        'nothing' => '–',
        'set' => 'set',
        'clashes' => ':count clash|:count clashes',
        'no_timetable' => ':count without timetable',
        'all_timetabled' => 'all timetabled',
        'no_link' => ':count without link',
        'all_linked' => 'all linked',
        'to_register' => ':count to register',
        'all_registered' => 'all registered',
        'refused' => ':count failed',
        'to_tell' => ':count to announce',
        'unpublished' => ':count not published',
        'changes' => ':count change|:count changes',
        'all_published' => 'all published',
        'today' => '{0} no sessions|{1} :count session|[2,*] :count sessions',
        'to_release' => ':count to release',
        'held' => ':count held',
    ],
];
