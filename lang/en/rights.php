<?php

// What teachers may do to the timetable of their sections.
return [
    'title' => 'What teachers may do',
    'of_school' => 'All sections',
    'school' => 'All sections',
    'as_school' => 'as all sections',
    'hint' => 'A change that a teacher may not make alone becomes a request. So does one outside the opening hours, '
        .'one that clashes, and one that another section shares.',
    'permissions' => ['yes' => 'Yes', 'ask' => 'Request', 'no' => 'No'],
    'acts' => [
        'describe' => 'Change the title and note of a session',
        'topics' => 'Assign topics',
        'add' => 'Add extra and make-up sessions',
        'move' => 'Move, cancel or hand over one session',
        'series' => 'Move later sessions or a whole series',
    ],
    'notice' => 'Without a request, a session can be moved or cancelled until',
    'hours' => 'hours before it starts',
    'save' => 'Save',
    'save_of' => 'Save for this section',
    'reset' => 'Use the school’s settings',
    'others' => 'Sections with other settings',
    'no_others' => 'None. Every section follows these settings.',
    'section' => 'Section',
    'choose' => 'View section',
];
