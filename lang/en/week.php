<?php

return [
    'show' => 'Show…',
    'shown' => 'Shown: :what ▾',
    'words' => 'Teacher, section or course',
    'words_hint' => 'The beginnings of words, as in bel or 8 mar.',
    'year' => 'Year',
    'years' => 'all years',
    'clashes' => 'only what clashes',
    'go' => 'Show',
    'none' => 'Nothing of that in this week',
    'none_hint' => 'Show more, or look at another week.',
    'whole' => 'Show all',
    'sheets' => [
        'title' => 'The week on paper',
        'sum' => '{0} nothing to print|{1} on one sheet|[2,*] on :count sheets',
        'head' => 'Week :week, :days, by :by, :zone time',
        'by' => ['teacher' => 'teacher', 'section' => 'section', 'year' => 'year'],
        'of' => 'sheet :n of :all',
        'print' => 'Print',
        'back' => 'Back to the week',
        'open' => 'On sheets of paper…',
        'one' => 'Print as it is here (A4)',
    ],
];
