<?php

// What core/ says to staff, under its codes (core/Language/Said).
return [
    'free' => [
        'clear' => ':clear of :sessions clear',
        'closed' => ':closed on closed days',
        'days' => 'the host account is taken on :days days',
        'elsewhere' => 'the teacher is elsewhere',
        'everybody' => 'everybody is free',
        'hours' => 'early or late for :students',
        'no_account' => 'the host account is taken',
        'students' => [
            'each' => 'on :days days :n student each is elsewhere|on :days days :n students each are elsewhere',
            'most' => 'on :days days up to :n student are elsewhere, most on :day|'.
                'on :days days up to :n students are elsewhere, most on :day',
            'once' => 'on :day :n student is elsewhere|on :day :n students are elsewhere',
        ],
        'teacher' => 'the teacher is free',
    ],
    'found' => [
        'address_of' => 'the address of this student, typed from the account of somebody else',
        'already' => 'this student is registered already',
        'another_name' => 'same address, another name',
        'certain' => 'same address, :name',
        'elsewhere' => ':name, another address, not of the school',
        'elsewhere_school' => ':name, another address of the school',
        'name_of' => 'the name of this student, typed from the account of somebody else',
        'names' => [
            'containing' => 'name containing',
            'different' => 'name different',
            'equal' => 'name equal',
            'near' => 'name near',
        ],
        'same_name' => 'same name',
        'section' => 'on the roster of another section of this course',
        'unknown' => 'neither the address nor the name is on the roster',
        'verdict' => [
            'already' => 'already registered',
            'another-account' => 'another account',
            'another-section' => 'another section',
            'certain' => 'certain',
            'check-address' => 'check the address',
            'check-name' => 'check the name',
            'unknown' => 'unknown',
        ],
    ],
    'place' => [
        'calendar' => 'Calendar',
        'class-stream' => 'Class stream',
        'course-page' => 'Course page',
    ],
    'reach' => [
        'later' => 'this and later',
        'this' => 'this one',
        'whole' => 'the whole series',
    ],
    'snag' => [
        'absences' => ':n student absent three times running|:n students absent three times running',
        'changed' => 'Changed, not republished',
        'changed_there' => ':n changed there by somebody else|:n changed there by somebody else',
        'clash' => ':clash',
        'no_link' => 'No join link',
        'no_series' => 'No timetable yet',
        'not_published' => 'Not published',
        'not_registered' => ':n not registered|:n not registered',
        'refused' => ':place refused :n|:place refused :n',
        'truth' => ':n see something else than the door says|:n see something else than the door says',
    ],
];
