<?php

return [
    'label' => 'The order of the work',
    'stops' => [
        'term' => 'Term',
        'timetable' => 'Timetable',
        'joining' => 'Joining',
        'registration' => 'Registration',
        'publishing' => 'Publishing',
        'today' => 'Today',
        'records' => 'Records',
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
        'refused' => ':count refused',
        'to_tell' => ':count to tell',
        'unpublished' => ':count not published',
        'changes' => ':count change|:count changes',
        'all_published' => 'all published',
        'today' => '{0} no sessions|{1} :count session|[2,*] :count sessions',
        'to_release' => ':count to release',
        'held' => ':count held',
    ],
];
