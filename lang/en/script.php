<?php

// What the pages' scripts say by themselves (resources/js/words.js); a form for each of the language's plurals.
return [
    'editor' => [
        'silent' => 'The server does not answer. What you typed is kept; it is looked at again '.
            'when you change something.',
    ],
    'plan' => [
        'chosen' => ['one' => 'of :n section', 'other' => 'of :n sections'],
        'placements' => ['one' => ':n placement', 'other' => ':n placements'],
        'publish' => ['one' => 'Publish :n', 'other' => 'Publish :n'],
        'reading' => 'Reading the plan…',
        'silent' => 'The server does not answer. Close and open it again.',
        'tell' => ['one' => 'Tell of changes', 'other' => 'Tell of changes'],
        'to_tell' => ['one' => 'Changes to tell', 'other' => 'Changes to tell'],
        'unread' => 'The plan could not be read. Close and open it again.',
    ],
    'rows' => [
        'silent' => 'This could not be read; it is asked for again.',
    ],
    'week' => [
        'closed' => 'closed: :why',
        'elsewhere' => ['one' => ':n student is elsewhere', 'other' => ':n students are elsewhere'],
        'move' => 'Move :name',
        'silent' => 'The server does not answer. Nothing is moved.',
        'teacher' => 'the teacher is elsewhere',
        'unsure' => 'It could not be worked out. Leave it and try again.',
        'working' => 'Working out what it changes…',
    ],
];
