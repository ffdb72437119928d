<?php

return [
    'title' => 'Reminders',
    'section' => 'Remind students of this section',
    'own' => 'Remind me of sessions',
    'as_section' => 'as set for my sections',
    'choices' => [
        'none' => 'not at all',
        'evening' => 'the evening before, by email',
        'hours-2' => 'two hours before, by email',
        'hours-1' => 'one hour before, by email',
        'calendar-60' => 'in my calendar, an hour before',
        'calendar-10' => 'in my calendar, ten minutes before',
    ],
    'keep' => 'Save',
    'kept' => 'Saved.',
    'fault' => 'Choose a reminder from the list.',
    'hint' => 'Students can change this for themselves on their own page.',
    'calendar_hint' => 'This is the calendar at your secret link.',
    'console' => '{0} no reminders due|{1} 1 reminder sent|[2,*] :count reminders sent',
];
