<?php

// Drafts of a next timetable.
return [
    'title' => 'Drafts',
    'sum' => 'Timetables as they could be, made of :term. Only coordinators see them.',
    'terms' => 'Term',
    'none' => 'No drafts yet',
    'none_hint' => 'A draft copies the series into another term and finds times for them. Nothing is saved in that '
        .'term '
        .'until you accept a draft.',
    'no_term' => 'There is no other term yet.',
    'add_term' => 'Add the next term',
    'make' => 'Make a draft',
    'to' => 'For the term',
    'name' => 'Name',
    'name_of' => 'Draft :n',
    'anew' => 'Find a new time for every series',
    'pins_hint' => 'Without it, every series keeps its time and only clashes are fixed. Series ticked in the last '
        .'column '
        .'keep their time in either case.',
    'about' => 'For :to, made of :from.',
    'states' => [
        'waiting' => 'Waiting',
        'running' => 'Looking, :seconds s so far',
        'done' => 'Found in :seconds s',
        'stopped' => 'Stopped',
        'failed' => 'Failed: make it again',
        'taken' => 'Accepted',
    ],
    'looking' => 'Looking for times. You can leave this page.',
    'beside' => 'Compare with :other',
    'drop' => 'Delete',
    'compare' => 'Drafts side by side',
    'now' => 'Now',
    'stays' => 'Keeps its time',
    'pin' => ':series keeps its time',
    'with_students' => 'With today’s students',
    'take' => 'Accept :title',
    'sums' => [
        'moved' => 'series at another time',
        'placed' => 'series given a new time',
        'must' => 'clashes to fix',
        'students' => 'students in two places, over all sessions',
        'hours' => 'student-sessions before :opens or after :closes on their clock',
        'lost' => 'more sessions lost',
        'advice' => 'suggestions not met',
    ],
];
