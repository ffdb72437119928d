<?php

return [
    'taken_back' => 'Your registration was withdrawn.',
    'title' => 'Register for :section',
    'heads' => [
        'accepted' => 'You are registered',
        'waiting' => 'Your registration is being checked',
        'queued' => 'You are on the waiting list',
        'declined' => 'Your registration was declined',
        'withdrawn' => 'Registration withdrawn',
        'may' => 'Register for this class',
        'own' => 'Your registrations',
        'shut' => 'Registration',
    ],
    'own_link' => 'This link works only for you. Save it, or use the one on your page.',
    'door' => 'Join page',
    'waits' => 'The school is checking it against the class list. We will email you the result. You can also check '
        .'here.',
    'queued' => 'All seats are taken. You are number :place on the waiting list, and move up when a seat becomes free.',
    'because' => 'Reason: :reason',
    'withdraw' => 'Cancel my registration',
    'take_back' => 'Withdraw',
    'states' => [
        'accepted' => 'registered',
        'waiting' => 'being checked',
        'queued' => 'number :place on the waiting list',
        'declined' => 'declined: :reason',
    ],
    'seats' => '{0}All seats are taken. You would join the waiting list.|{1}1 seat is left.|'.
        '[2,*]:count seats are left.',
    'name' => 'Your name',
    'email' => 'Your email address',
    'which' => 'Sessions',
    'checked' => [
        'now' => 'Your name and email address are compared with the class list. If they match, you are registered '
            .'straight away. If not, the school checks first. Either way, you get an email.',
        'soon' => 'Your name and email address are compared with the class list. If they match, you are registered '
            .'soon. If not, the school checks first. Either way, you get an email.',
    ],
    'go' => 'Register',
    'follows' => 'You do not need to register: everyone enrolled in this class is registered.',
    'none_left' => 'This class has no sessions left.',
    'next' => 'Next sessions',
    'none' => 'no sessions left',
    'zone' => 'Time zone',
    'left' => 'Sessions left',
    'how' => 'Status',
];
