<?php

// What the pages' scripts say by themselves (resources/js/words.js); a form for each of the language's plurals.
return [
    'editor' => [
        'silent' => 'The server did not respond. What you typed is kept, and is checked again when you change '
            .'something.',
    ],
    'plan' => [
        'chosen' => ['one' => 'from :n section', 'other' => 'from :n sections'],
        'placements' => ['one' => ':n item', 'other' => ':n items'],
        'publish' => ['one' => 'Publish :n', 'other' => 'Publish :n'],
        'reading' => 'Loading the changes…',
        'silent' => 'The server did not respond. Close this and open it again.',
        'tell' => ['one' => 'Announce changes', 'other' => 'Announce changes'],
        'to_tell' => ['one' => 'Changes to announce', 'other' => 'Changes to announce'],
        'unread' => 'The changes could not be loaded. Close this and open it again.',
    ],
    'rows' => [
        'silent' => 'This could not be loaded; trying again.',
    ],
    'tray' => [
        'more' => 'and :n more',
        'sections' => ['one' => ':n section selected', 'other' => ':n sections selected'],
        'series' => ['one' => ':n series selected', 'other' => ':n series selected'],
    ],
    'week' => [
        'closed' => 'closed: :why',
        'elsewhere' => ['one' => ':n student is elsewhere', 'other' => ':n students are elsewhere'],
        'move' => 'Move :name',
        'silent' => 'The server did not respond. Nothing was moved.',
        'teacher' => 'the teacher is elsewhere',
        'unsure' => 'The preview failed. Cancel and try again.',
        'working' => 'Loading the preview…',
    ],
    'options' => ['silent' => 'This could not be loaded. Reload the page to try again.'],
];
