<?php

return [
    'title' => 'Reminders',
    'section' => 'Students of this section are reminded',
    'own' => 'I am reminded of sessions',
    'as_section' => 'as my sections say',
    'choices' => [
        'none' => 'not at all',
        'evening' => 'the evening before, by letter',
        'hours-2' => 'two hours before, by letter',
        'hours-1' => 'one hour before, by letter',
        'calendar-60' => 'by my calendar, an hour before',
        'calendar-10' => 'by my calendar, ten minutes before',
    ],
    'keep' => 'Keep',
    'kept' => 'Kept.',
    'fault' => 'Choose one of those that are listed.',
    'hint' => 'Each student may choose otherwise on their own page.',
    'calendar_hint' => 'The calendar is the one at your secret address.',
    'console' => '{0} nobody is to be reminded|{1} one reminder written|[2,*] :count reminders written',
];
