<?php

// What stands around every page, students' and guardians' pages among them.
return [
    'to_content' => 'To the content',
    'roles' => [
        'coordinator' => 'coordinator',
        'teacher' => 'teacher',
        'student' => 'student',
        'guardian' => 'guardian',
    ],
    'account' => 'Your account',
    'scheme' => 'Light or dark',
    'sign_out' => 'Sign out',
    'keys' => [
        'title' => 'The keys of this screen',
        'these' => 'these keys',
        'close' => 'close',
        'shut' => 'Close',
    ],
];
