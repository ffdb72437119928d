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
];
