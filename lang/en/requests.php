<?php

// Changes that teachers ask a coordinator for.
return [
    'title' => 'Requests',
    'sum' => '{0} Nothing to decide|{1} 1 request to decide|[2,*] :count requests to decide',
    'none' => 'No open requests',
    'none_hint' => 'What teachers may change themselves, and what they ask for, is set in What teachers may do.',
    'none_own' => 'What you may not change yourself becomes a request here.',
    'decided' => 'Decided',
    'decide' => 'Decide',
    'columns' => ['section' => 'Section', 'what' => 'Change', 'by' => 'Requested by', 'state' => 'Decision'],
    'states' => [
        'open' => 'waiting for a coordinator',
        'accepted' => 'accepted',
        'declined' => 'declined',
        'withdrawn' => 'withdrawn',
    ],
    'answer' => 'Reply to the teacher (optional)',
    'accept' => 'Accept and save',
    'decline' => 'Decline',
    'withdraw' => 'Withdraw',
    'clear' => 'No clashes.',
    'closed' => 'Outside the school’s opening hours.',
    'clashes' => 'Clashes on :count more day.|Clashes on :count more days.',
    'why' => 'Reason, if a coordinator has to decide',
    'notes' => [
        'own' => 'You can change this session yourself.',
        'own_until' => 'You can move or cancel it yourself until :until. After that, or if it clashes, a coordinator '
            .'decides.',
        'late' => 'It starts in less than :hours hours, so a coordinator decides.',
        'ask' => 'A coordinator decides whether it is moved or cancelled.',
        'no' => 'Only coordinators move or cancel sessions.',
        'make_up' => [
            'yes' => 'You can make it up yourself. A time that clashes, or is outside the opening hours, becomes '
                .'a request.',
            'ask' => 'A coordinator decides whether it is made up.',
            'no' => 'Only coordinators add sessions.',
        ],
    ],
];
