<?php

// What is left until a new school's first lesson.
return [
    'title' => 'Set-up list',
    'sum' => 'What is left until the first lesson',
    'hide' => 'Hide this list',
    'hidden' => 'The list is hidden. You find it in the menu under your name.',
    'states' => ['none' => 'not begun', 'some' => ':done of :all', 'simulated' => 'demo service', 'done' => 'done'],
    'steps' => [
        'calendar' => [
            'name' => 'School calendar',
            'what' => 'Closed days, and the periods of a day.',
            'do' => 'Set '.'up calendar',
        ],
        'people' => [
            'name' => 'People',
            'what' => 'Everybody who should get emails has an email address.',
            'do' => 'View '.'people',
        ],
        'timetable' => [
            'name' => 'Timetable',
            'what' => 'Every section has a series of sessions.',
            'do' => 'View '.'sections',
        ],
        'conference' => [
            'name' => 'Conference service',
            'what' => 'Where sessions take place.',
            'do' => 'Connect '.'service',
        ],
        'mail' => ['name' => 'Mail server', 'what' => 'Links and changes are emailed.', 'do' => 'Connect server'],
        'destinations' => [
            'name' => 'Course site, calendars and streams',
            'what' => 'Where sessions are published.',
            'do' => 'Connect '.'services',
        ],
        'links' => ['name' => 'Join links', 'what' => 'Every series has a link.', 'do' => 'Create links'],
        'registrations' => [
            'name' => 'Registrations',
            'what' => 'Every student is registered for their series.',
            'do' => 'Register '.'students',
        ],
        'publishing' => [
            'name' => 'Publishing',
            'what' => 'Every section with a timetable is published.',
            'do' => 'Publish '.'sections',
        ],
        'invitations' => ['name' => 'Invitations', 'what' => 'Everybody can sign in.', 'do' => 'Invite people'],
    ],
];
