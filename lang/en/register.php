<?php

return [
    'taken_back' => 'Your registration is taken back.',
    'title' => 'Register for :section',
    'heads' => [
        'accepted' => 'You are registered',
        'waiting' => 'Your registration is waiting',
        'queued' => 'You are on the waiting list',
        'declined' => 'Your registration was declined',
        'withdrawn' => 'Taken back',
        'may' => 'Register for this class',
        'own' => 'Your registrations',
        'shut' => 'Registration',
    ],
    'own_link' => 'Your own link lets in nobody else. Keep it, or come from your own page.',
    'door' => 'To the door',
    'waits' => 'Somebody compares it with the roster. You get a letter when that is done, and can look here any time.',
    'queued' => 'All seats are taken. You are number :place on the waiting list, and move up when a seat is '.
        'given back.',
    'because' => 'Because: :reason',
    'withdraw' => 'I do not come after all',
    'take_back' => 'Take back',
    'states' => [
        'accepted' => 'registered',
        'waiting' => 'waiting for a decision',
        'queued' => 'number :place on the waiting list',
        'declined' => 'declined: :reason',
    ],
    'seats' => '{0}All seats are taken; you would come on the waiting list.|{1}1 seat is left.|[2,*]:count '.
        'seats are left.',
    'name' => 'Your name',
    'email' => 'Your e-mail address',
    'which' => 'Which sessions',
    'checked' => [
        'now' => 'What is checked: your name and address are compared with the roster of this class. If they match, '.
            'you are registered straight away. If not, somebody checks first. You get a letter either way.',
        'soon' => 'What is checked: your name and address are compared with the roster of this class. If they match, '.
            'you are registered soon. If not, somebody checks first. You get a letter either way.',
    ],
    'go' => 'Register',
    'follows' => 'This class follows its roster: whoever is enrolled is registered.',
    'none_left' => 'No session of this class is left.',
    'next' => 'Next ones',
    'none' => 'none is left',
    'zone' => 'On the clock of',
    'left' => 'Sessions left',
    'how' => 'How',
];
