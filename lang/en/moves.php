<?php

// Moving several sessions, or their series, in one step.
return [
    'title' => 'Move several sessions',
    'sum' => '{0} nothing chosen yet|{1} :count session|[2,*] :count sessions, saved in one step',
    'none' => 'Nothing to move yet',
    'none_hint' => 'Enter a section code below. Its next session is added to the list.',
    'series' => 'Section',
    'now' => 'Now',
    'to' => 'New time',
    'reach' => 'Apply to',
    'effect' => 'Result',
    'day_of' => 'New day of :name',
    'remove' => 'Remove',
    'remove_this' => 'Remove :name from the list',
    'code' => 'Section code',
    'code_like' => '8MAR',
    'add' => 'Add to the list',
    'preview' => 'Preview',
    'do' => 'Move :count session|Move all :count in one step',
    'swap' => 'Swap with :name…',
    'others' => 'Move other sessions in the same step…',
    'both' => 'Move both…',
    'clashes' => [
        'before' => '{0} Clashes now|{1} Clashes now: 1|[2,*] Clashes now: :count',
        'after' => '{0} Clashes afterwards|{1} Clashes afterwards: 1|[2,*] Clashes afterwards: :count',
        'none' => 'None in these sections.',
    ],
];
