<?php

return [
    'title' => 'Read calendars',
    'file' => 'A calendar file (.ics)',
    'of' => 'Whose calendar it is',
    'school' => 'the school\'s',
    'becomes' => [
        'title' => 'What becomes of it',
        'classes' => 'Classes',
        'classes_words' => 'An event whose summary or category names a section by its code becomes a series of that '.
            'section, with its exceptions.',
        'rest' => 'The rest',
        'rest_words' => 'What names no section is matched by hand, or left out. Of a teacher\'s own calendar it is '.
            'kept as busy time, which free times avoid.',
        'again' => 'Again',
        'again_words' => 'The same event again changes the series that it made before.',
    ],
    'sum' => ':count event · :matched matched by code|:count events · :matched matched by code',
    'whose' => ':name\'s',
    'none' => 'No event of this term in it',
    'other' => 'Choose another file',
    'columns' => ['event' => 'Event', 'when' => 'When', 'makes' => 'What it makes', 'as' => 'Taken as'],
    'more' => ':count more event is not shown and not taken. Read the file in parts.|:count more events are not shown '.
        'and not taken. Read the file in parts.',
    'take' => 'Take them so',
    'no_summary' => 'without a summary',
    'whole_days' => 'whole days',
    'days' => ':count day|:count days',
    'states' => ['same' => 'here already, the same', 'changes' => 'changes the series that it made'],
    'as' => 'Taken as: :event',
    'busy' => 'busy time of :name',
    'choose' => 'choose: :n sections have this code',
    'leave' => 'leave it out',
];
