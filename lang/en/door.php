<?php

return [
    'hours_in' => ':hours in :place',
    'looks_again' => 'This page looks again by itself.',
    'recorded' => 'This session is being recorded. If you do not want to be in it, keep microphone and camera off '.
        'and tell your teacher.',
    'pass' => [
        'ask' => 'Ask to come in here',
        'asked' => 'The teacher has been asked. Look again in a minute.',
        'kept' => 'The teacher has decided that the pass stays in the other browser.',
        'look' => 'Look again',
    ],
    // `at 08:50 your time, 09:50 in Madrid`; another day is named first.
    'at' => 'at :time',
    'at_both' => 'at :time your time, :school in :place',
    'day_at' => ':day at :time',
    'day_at_both' => ':day at :time your time, :school in :place',
    'next' => 'The next one is :moment.',
    'none_left' => 'There is no further session this term.',
    'because' => 'Because: :reason. :next',
    'cancelled' => 'cancelled',
    // What it is, what follows from it, and what the button says; a reply without the third has no button.
    'replies' => [
        'come-in' => [
            'is' => 'Come in',
            'looks' => 'You come in to look: you neither host nor count.',
            'room' => 'The room is open.',
            'starts' => 'It starts :moment.',
            'begun' => 'It has begun; come in now.',
            'do' => 'Come in',
        ],
        'wait-outside' => [
            'is' => 'You wait outside first',
            'then' => 'Press the button; the teacher sees that you are there and lets you in.',
            'do' => 'Wait outside',
        ],
        'elsewhere' => [
            'is' => 'You are already inside on another device',
            'then' => 'Come in here, and this device takes over from the other one.',
            'do' => 'Come in here instead',
        ],
        'too-early' => [
            'is' => 'You are early',
            'then' => 'The doors open :opens.',
            'do' => 'Come in at :time',
            'do_on' => 'Come in on :day at :time',
        ],
        'no-host' => [
            'is' => 'The teacher is not here yet',
            'then' => 'The doors are open, and you come in as soon as a teacher is inside. Look again in a minute.',
            'do' => 'Come in when the teacher is here',
        ],
        'full' => [
            'is' => 'The room is full',
            'then' => 'All its seats are taken. Tell your teacher through the class stream, or come in by phone.',
            'do' => 'Full',
        ],
        'sent-out' => [
            'is' => 'You were sent out',
            'then' => 'For this session you stay out. Talk to your teacher afterwards. :next',
        ],
        'pass-elsewhere' => [
            'is' => 'This pass is in use in another browser',
            'then' => 'A pass lets in one person. If it is yours and you have changed devices, ask here: the teacher '.
                'sees both and decides.',
        ],
        'over' => ['is' => 'This one is over', 'then' => ':next'],
        'left' => [
            'is' => 'You are no longer in this class',
            'then' => 'Thank you for having been there. If that is a mistake, tell your school.',
        ],
        'ahead' => [
            'is' => 'You are not in this class yet',
            'then' => 'Your part in it begins later; this link opens from then on.',
        ],
        'moved' => ['is' => 'Moved to another day', 'then' => 'It is held :held.'],
        'cancelled' => ['is' => 'No class today', 'then' => ':because'],
        'replaced' => [
            'is' => 'This link was replaced',
            'then' => 'Your new link stands on your own page, on the course page and in your calendar.',
        ],
        'shut' => [
            'is' => 'The door is shut',
            'then' => 'It opens :opens.',
            'hidden' => 'Your school has hidden this door. You will see it here when it opens.',
        ],
        'expired' => [
            'is' => 'This pass is no longer good',
            'then' => 'Ask whoever invited you for a new one.',
        ],
        'not-yours' => [
            'is' => 'This is somebody else\'s link',
            'then' => 'A personal link lets in one person only: the account that was registered. Yours stands on your '.
                'own page.',
        ],
        'not-on-roster' => [
            'is' => 'This class is not one of yours',
            'then' => 'If it should be, your school can enrol you.',
        ],
        'register-first' => [
            'is' => 'You are not registered yet',
            'then' => 'You have to be registered for this class first. Where your class takes registrations, do it '.
                'on its registration page; else ask your teacher.',
        ],
        'waiting' => [
            'is' => 'Your registration is waiting',
            'then' => 'Somebody compares it with the roster. Come back later.',
        ],
        'declined' => [
            'is' => 'You are not registered for this class',
            'then' => 'Your registration was declined. Ask your teacher why.',
        ],
    ],
    'stops' => ['now' => 'now', 'open' => 'doors open', 'start' => 'starts', 'end' => 'over'],
    'look' => 'Look again',
    'to_registration' => 'To the registration page',
    'to_own' => 'To my own page',
    'helps' => [
        'hours' => 'Open hours',
        'phone' => 'By phone',
        'pin' => 'PIN :pin',
        'code' => 'Join code',
        'next' => 'Next ones',
        'trouble' => 'Not working?',
        'by_phone' => 'Come in by phone',
        'by_phone_or' => 'Come in by phone, or write to :teacher through the class stream',
        'by_stream' => 'Look at the class stream',
        'by_stream_or' => 'Look at the class stream, or write to :teacher there',
    ],
    'by_code' => [
        'title' => 'Join by code',
        'label' => 'The join code, ten letters and figures',
        'go' => 'To the door',
    ],
];
