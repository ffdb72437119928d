<?php

/* The usual words of each letter. What stands in braces is put in when it goes. */
return [
    'received' => [
        'title' => 'Registration received',
        'subject' => 'Your registration for {class} has arrived',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            'your registration for {class} has arrived. Somebody at {school} compares it with the roster; '.
            'you get a letter when that is done.',
            '',
            'How it stands: {page}',
        ]),
    ],
    'accepted' => [
        'title' => 'Confirmation',
        'subject' => 'You are registered for {class}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            'you are registered for {class}. This link is yours alone, and lets in nobody else:',
            '{link}',
            '',
            'The next sessions, on your clock: {when}',
            '',
            'The whole timetable is attached for your calendar. If the link does not work, come in by '.
            'phone: {phone}.',
        ]),
    ],
    'declined' => [
        'title' => 'Decline',
        'subject' => 'Your registration for {class} was declined',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            'your registration for {class} was declined, because: {reason}',
            '',
            'If that can be mended, register again: {page}',
        ]),
    ],
    'elsewhere' => [
        'title' => 'Sent to another section',
        'subject' => 'Your registration now is for {class}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            'you are on the roster of {class}, so your registration was sent there. You need not do anything.',
            '',
            'How it stands: {page}',
        ]),
    ],
    'replaced' => [
        'title' => 'Replaced link',
        'subject' => 'Your new link for {class}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            'your link for {class} was replaced; the old one opens nothing any more. This is the new one, '.
            'and it is yours alone:',
            '{link}',
            '',
            'The next sessions, on your clock: {when}',
            '',
            'If it does not work, come in by phone: {phone}.',
        ]),
    ],
    'guest' => [
        'title' => 'Guest\'s invitation',
        'subject' => 'Your invitation to {class}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            '{school} invites you to {class}: {when}',
            '',
            'This pass is for you alone, and good until {until}:',
            '{link}',
        ]),
    ],
    'guardian' => [
        'title' => 'Confirmation for guardians',
        'subject' => '{child} is registered for {class}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            '{child} is registered for {class} at {school}. The next sessions, on {child}\'s clock: {when}',
            '',
            'The link is {child}\'s own and lets in nobody else, so it does not stand here. The timetable '.
            'is attached for your calendar.',
        ]),
    ],
    'changed' => [
        'title' => 'Changed sessions',
        'subject' => 'Changed: {class}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            'the timetable of {class} has changed:',
            '{change}',
            '',
            'The next sessions, on your clock: {when}',
            '',
            'The timetable as it is now is attached for your calendar.',
        ]),
    ],
    'cancelled' => [
        'title' => 'Cancelled series',
        'subject' => 'No more sessions: {class}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            '{title} of {class} at {school} is not held any more. The sessions that were still to come '.
            'are taken out of your calendar by what is attached.',
        ]),
    ],
    'teacher' => [
        'title' => 'Host link for teachers',
        'subject' => 'Your host link for {class}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            'you teach {class}. By this link you come in as the host, and nobody else does:',
            '{link}',
            '',
            'The next sessions, on your clock: {when}',
            '',
            'The whole timetable is attached for your calendar. If the link does not work, come in by '.
            'phone: {phone}.',
        ]),
    ],
    'invitation' => [
        'title' => 'Invitation to set a password',
        'subject' => 'Your account at {school}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            '{school} holds its live classes with Nomada. By this link you set your password; it works '.
            'once, and until {until}:',
            '{link}',
            '',
            'Afterwards you sign in as {sign_in}.',
        ]),
    ],
    'reset' => [
        'title' => 'Forgotten password',
        'subject' => 'A new password for {school}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            'somebody, probably you, asked for a new password. By this link you set one; it works once, '.
            'and until {until}:',
            '{link}',
            '',
            'You sign in as {sign_in}. If you did not ask, you need not do anything: your password stays '.
            'as it is.',
        ]),
    ],
    'not-here' => [
        'title' => 'Not here yet',
        'subject' => '{child} has not come to {class}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            '{child} has not come to {class} at {school}, which began at {when}. Perhaps something keeps '.
            '{child} from coming in; the school helps.',
            '',
            'Is {child} away? Tell it here, and it counts as excused: {page}',
        ]),
    ],
    'missed' => [
        'title' => 'What was missed',
        'subject' => 'What {child} missed',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            '{child} was not there:',
            '{missed}',
            '',
            'Attendance, and telling an absence beforehand: {page}',
        ]),
    ],
    'recording' => [
        'title' => 'Recording to be seen',
        'subject' => 'The recording of {class}, {when}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            '{child} was not there when {class} met on {when}. It was recorded, and can be seen now: {page}',
        ]),
    ],
    'reminder' => [
        'title' => 'Reminder',
        'subject' => 'Soon: {sessions}',
        'text' => implode("\n", [
            'Hello {name},',
            '',
            'soon, on your clock:',
            '{sessions}',
            '',
            'Your links, and how to stop such reminders: {page}',
        ]),
    ],
    'parts' => [
        'no_phone' => 'not set up',
        'none_left' => 'none is left',
        'when' => ':sessions in :place',
        'recorded' => '. It was recorded; the recording can be seen now.',
        'stop' => 'No more such letters',
    ],
];
