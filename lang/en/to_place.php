<?php

// Series that have no time yet.
return [
    'title' => 'No time yet',
    'add' => 'Time to be found…',
    'is' => '1 session a week of :minutes minutes|:count sessions a week of :minutes minutes',
    'find' => 'Find a time…',
    'by_hand' => 'Try a time',
    'drag' => 'Drag one into the week, or open it to enter a time.',
    'all' => 'All :n',
    'remove' => 'Remove',
    'hint' => 'A series that is needed, and whose time is still to be found. It has no sessions and no join link '
        .'until then.',
    'name' => 'Title',
    'name_hint' => 'Empty: :title',
    'per_week' => 'Sessions a week, on different days',
    'minutes' => 'Minutes of a session',
    'from' => 'From',
    'from_hint' => 'Empty: from the beginning of the term',
    'until' => 'Until',
    'until_hint' => 'Empty: until the end of the term',
    'save' => 'Add',
];
