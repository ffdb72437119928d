<?php

return [
    'hours_in' => ':hours in :place',
    'looks_again' => 'This page refreshes automatically.',
    'recorded' => 'This session is being recorded. To stay out of the recording, keep your microphone and camera off '
        .'and tell your teacher.',
    'pass' => [
        'ask' => 'Ask for entry in this browser',
        'asked' => 'The teacher has been asked. Refresh in a minute.',
        'kept' => 'The teacher has not moved the pass to this browser.',
        'look' => 'Refresh',
    ],
    // `at 08:50 your time, 09:50 in Madrid`; another day is named first.
    'at' => 'at :time',
    'at_both' => 'at :time (:school in :place)',
    'day_at' => ':day at :time',
    'day_at_both' => ':day at :time (:school in :place)',
    'next' => 'The next session is :moment.',
    'none_left' => 'There are no more sessions this term.',
    'room_next' => 'You can join again the next time the room is open.',
    'because' => 'Reason: :reason. :next',
    'cancelled' => 'cancelled',
    // What it is, what follows from it, and what the button says; a reply without the third has no button.
    'replies' => [
        'come-in' => [
            'is' => 'You can join',
            'looks' => 'You are joining as an observer. You are not the host, and your attendance is not recorded.',
            'room' => 'The room is open.',
            'starts' => 'It starts :moment.',
            'begun' => 'The session has started.',
            'do' => 'Join',
        ],
        'wait-outside' => [
            'is' => 'The teacher will let you in',
            'then' => 'Press the button. The teacher sees that you are waiting and lets you in.',
            'do' => 'Wait to be let in',
        ],
        'elsewhere' => [
            'is' => 'You are already inside on another device',
            'then' => 'If you join here, this device takes over.',
            'do' => 'Join on this device',
        ],
        'too-early' => [
            'is' => 'You are early',
            'then' => 'The session opens :opens.',
            'do' => 'Join at :time',
            'do_on' => 'Join on :day at :time',
        ],
        'no-host' => [
            'is' => 'The teacher is not here yet',
            'then' => 'You can join as soon as a teacher is inside. Refresh in a minute.',
            'do' => 'Join when the teacher is here',
        ],
        'full' => [
            'is' => 'The room is full',
            'then' => 'All seats are taken. Tell your teacher through the class stream, or join by phone.',
            'do' => 'Full',
        ],
        'sent-out' => [
            'is' => 'You were removed from this session',
            'then' => 'You cannot join it again. Talk to your teacher afterwards. :next',
        ],
        'pass-elsewhere' => [
            'is' => 'This pass is in use in another browser',
            'then' => 'A pass works for one person in one browser. If you have changed devices, ask here: the teacher '
                .'sees both browsers and decides.',
        ],
        'over' => ['is' => 'This session is over', 'then' => ':next'],
        'left' => [
            'is' => 'You are no longer in this class',
            'then' => 'Thank you for taking part. If this is a mistake, tell your school.',
        ],
        'ahead' => [
            'is' => 'You are not in this class yet',
            'then' => 'You start in this class later. The link will work from that day.',
        ],
        'moved' => ['is' => 'Moved to another day', 'then' => 'It now takes place :held.'],
        'cancelled' => ['is' => 'No class today', 'then' => ':because'],
        'replaced' => [
            'is' => 'This link was replaced',
            'then' => 'Your new link is on your own page, on the course page and in your calendar.',
        ],
        'shut' => [
            'is' => 'The session is not open',
            'then' => 'It opens :opens.',
            'hidden' => 'Your school has hidden this link. The session appears here when it opens.',
        ],
        'expired' => [
            'is' => 'This guest pass has expired',
            'then' => 'Ask the person who invited you for a new one.',
        ],
        'not-yours' => [
            'is' => 'This link belongs to somebody else',
            'then' => 'A personal link works for the registered person only. Yours is on your own page.',
        ],
        'not-on-roster' => [
            'is' => 'You are not in this class',
            'then' => 'If you should be, your school can enrol you.',
        ],
        'register-first' => [
            'is' => 'You are not registered yet',
            'then' => 'Register for this class first. If it has no registration page, ask your teacher.',
        ],
        'waiting' => [
            'is' => 'Your registration is being checked',
            'then' => 'The school is checking your registration. Come back later.',
        ],
        'declined' => [
            'is' => 'You are not registered for this class',
            'then' => 'Your registration was declined. Ask your teacher why.',
        ],
    ],
    'stops' => ['now' => 'now', 'open' => 'opens', 'start' => 'starts', 'end' => 'over'],
    'look' => 'Refresh',
    'to_registration' => 'Go to registration',
    'to_own' => 'Go to my page',
    'helps' => [
        'hours' => 'Opening hours',
        'phone' => 'By phone',
        'pin' => 'PIN :pin',
        'code' => 'Join code',
        'next' => 'Next sessions',
        'trouble' => 'Not working?',
        'by_phone' => 'Join by phone',
        'by_phone_or' => 'Join by phone, or write to :teacher in the class stream',
        'by_stream' => 'Check the class stream',
        'by_stream_or' => 'Check the class stream, or write to :teacher there',
    ],
    'by_code' => [
        'title' => 'Join by code',
        'label' => 'Join code (ten letters and digits)',
        'go' => 'Join',
    ],
];
