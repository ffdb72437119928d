<?php

// Times at which teachers would rather not teach.
return [
    'title' => 'Teachers’ wishes',
    'sum' => 'When teachers would rather not teach',
    'none' => 'No wishes yet',
    'none_hint' => 'Add the days and hours at which somebody would rather not teach. They count when the timetable is '
        .'computed; nothing moves because of them alone.',
    'teacher' => 'Teacher',
    'when' => 'Not at',
    'counts' => 'Counts as',
    'wish' => 'a wish',
    'rule' => 'a rule',
    'make_rule' => 'Make it a rule',
    'make_wish' => 'Make it a wish',
    'remove' => 'Remove',
    'add' => 'Add a wish',
    'day' => 'Day',
    'between' => 'Between',
    'whole_day' => 'all day',
    'hint' => 'Without times, the whole day. Only the coordinator can make it a rule.',
];
