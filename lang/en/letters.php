<?php

/* The usual words of each letter. What stands in braces is put in when it goes. */
return [
    'received' => [
        'title' => 'Registration received',
        'subject' => 'We received your registration for {class}',
        'text' => "Hello {name},\n\nYour registration for {class} has arrived. {school} is checking it against the "
            ."class list and will email you the result.\n\nSee its status: {page}",
    ],
    'accepted' => [
        'title' => 'Confirmation',
        'subject' => 'You are registered for {class}',
        'text' => "Hello {name},\n\nYou are registered for {class}. This link is yours alone and works for nobody "
            ."else:\n{link}\n\nThe next sessions, on your clock: {when}\n\nThe full timetable is attached for your "
            .'calendar. If the link does not work, join by phone: {phone}.',
    ],
    'declined' => [
        'title' => 'Registration declined',
        'subject' => 'Your registration for {class} was declined',
        'text' => "Hello {name},\n\nYour registration for {class} was declined. Reason: {reason}\n\nIf you can "
            .'correct this, register again: {page}',
    ],
    'elsewhere' => [
        'title' => 'Registration moved to another section',
        'subject' => 'Your registration is now for {class}',
        'text' => "Hello {name},\n\nYou are on the roster of {class}, so your registration was moved there. You do "
            ."not need to do anything.\n\nSee its status: {page}",
    ],
    'replaced' => [
        'title' => 'Replaced link',
        'subject' => 'Your new link for {class}',
        'text' => "Hello {name},\n\nYour link for {class} was replaced, and the old one no longer works. This is the "
            ."new one, and it is yours alone:\n{link}\n\nThe next sessions, on your clock: {when}\n\nIf it does not "
            .'work, join by phone: {phone}.',
    ],
    'guest' => [
        'title' => 'Invitation for guests',
        'subject' => 'Your invitation to {class}',
        'text' => "Hello {name},\n\n{school} invites you to {class}: {when}\n\nThis pass is for you alone. It is "
            ."valid until {until}:\n{link}",
    ],
    'guardian' => [
        'title' => 'Confirmation for guardians',
        'subject' => '{child} is registered for {class}',
        'text' => "Hello {name},\n\n{child} is registered for {class} at {school}. The next sessions, on {child}’s "
            ."clock: {when}\n\nThe join link is sent only to {child}. The timetable is attached for your calendar.",
    ],
    'changed' => [
        'title' => 'Changed sessions',
        'subject' => 'Changed: {class}',
        'text' => "Hello {name},\n\nThe timetable of {class} has changed:\n{change}\n\nThe next sessions, on your "
            ."clock: {when}\n\nThe updated timetable is attached for your calendar.",
    ],
    'cancelled' => [
        'title' => 'Cancelled series',
        'subject' => 'No more sessions: {class}',
        'text' => "Hello {name},\n\n{school} has cancelled the remaining {title} sessions of {class}. Open the "
            .'attachment to remove them from your calendar.',
    ],
    'teacher' => [
        'title' => 'Host link for teachers',
        'subject' => 'Your host link for {class}',
        'text' => "Hello {name},\n\nYou teach {class}. Use this link to join as host. It works only for you:\n{link}\n"
            ."\nThe next sessions, on your clock: {when}\n\nThe full timetable is attached for your calendar. If the "
            .'link does not work, join by phone: {phone}.',
    ],
    'invitation' => [
        'title' => 'Invitation to set a password',
        'subject' => 'Your account at {school}',
        'text' => "Hello {name},\n\n{school} holds its live classes with Nomada. Set your password with this link. It "
            ."works once, until {until}:\n{link}\n\nThen sign in as {sign_in}.",
    ],
    'reset' => [
        'title' => 'Password reset',
        'subject' => 'A new password for {school}',
        'text' => "Hello {name},\n\nSomebody, probably you, asked for a new password. Set it with this link, which "
            ."works once, until {until}:\n{link}\n\nYou sign in as {sign_in}. If you did not ask, ignore this email: "
            .'your password stays the same.',
    ],
    'not-here' => [
        'title' => 'Not joined yet',
        'subject' => '{child} has not joined {class}',
        'text' => "Hello {name},\n\n{child} has not joined {class}, which started at {when}. If {child} cannot get "
            ."in, contact {school}.\n\nIf {child} is away, report the absence here: {page}",
    ],
    'missed' => [
        'title' => 'Missed sessions',
        'subject' => 'What {child} missed',
        'text' => "Hello {name},\n\n{child} missed:\n{missed}\n\nSee attendance or report a future absence: {page}",
    ],
    'recording' => [
        'title' => 'Recording available',
        'subject' => 'The recording of {class}, {when}',
        'text' => "Hello {name},\n\n{child} missed {class} on {when}. You can watch the recording here: {page}",
    ],
    'reminder' => [
        'title' => 'Reminder',
        'subject' => 'Soon: {sessions}',
        'text' => "Hello {name},\n\nComing up, on your clock:\n{sessions}\n\nFind your links, or stop these "
            .'reminders: {page}',
    ],
    'parts' => [
        'no_phone' => 'not set up',
        'none_left' => 'none is left',
        'when' => ':sessions in :place',
        'recorded' => '. The recording is available.',
        'stop' => 'Stop these emails',
    ],
];
