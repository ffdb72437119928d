<?php

return [
    'title' => 'Import calendars',
    'file' => 'A calendar file (.ics)',
    'of' => 'Whose calendar',
    'school' => 'the school’s',
    'becomes' => [
        'title' => 'What is imported',
        'classes' => 'Classes',
        'classes_words' => 'An event whose summary or category contains a section code becomes a series of that '
            .'section, with its exceptions.',
        'rest' => 'Other events',
        'rest_words' => 'You match them by hand, or leave them out. In a teacher’s own calendar they become busy '
            .'time, which free times avoid.',
        'again' => 'Importing again',
        'again_words' => 'An event imported before changes the series that it made.',
    ],
    'sum' => ':count event · :matched matched by code|:count events · :matched matched by code',
    'whose' => ':name’s',
    'none' => 'No event of this term in the file',
    'other' => 'Choose another file',
    'columns' => ['event' => 'Event', 'when' => 'When', 'makes' => 'Result', 'as' => 'Import as'],
    'more' => ':count more event is not shown or imported. Import the file in parts.|:count more events are not shown '
        .'or imported. Import the file in parts.',
    'take' => 'Import',
    'no_summary' => 'without a summary',
    'whole_days' => 'whole days',
    'days' => ':count day|:count days',
    'states' => ['same' => 'already imported, unchanged', 'changes' => 'changes the series that it made'],
    'as' => 'Import as: :event',
    'busy' => 'busy time of :name',
    'choose' => 'choose: :n sections have this code',
    'leave' => 'leave it out',
];
