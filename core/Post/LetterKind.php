<?php

declare(strict_types=1);

namespace Nomada\Core\Post;

/** What is written to people, with the usual words of each. */
enum LetterKind: string
{
    case Received = 'received';
    case Accepted = 'accepted';
    case Declined = 'declined';
    case Elsewhere = 'elsewhere';
    case Replaced = 'replaced';
    case Guest = 'guest';
    case Guardian = 'guardian';
    case Changed = 'changed';
    case Cancelled = 'cancelled';
    case Teacher = 'teacher';
    case Invitation = 'invitation';
    case Reset = 'reset';
    case NotHere = 'not-here';
    case Missed = 'missed';
    case Recording = 'recording';
    case Reminder = 'reminder';

    public function title(): string
    {
        return match ($this) {
            self::Received => 'Registration received',
            self::Accepted => 'Confirmation',
            self::Declined => 'Decline',
            self::Elsewhere => 'Sent to another section',
            self::Replaced => 'Replaced link',
            self::Guest => 'Guest\'s invitation',
            self::Guardian => 'Confirmation for guardians',
            self::Changed => 'Changed sessions',
            self::Cancelled => 'Cancelled series',
            self::Teacher => 'Host link for teachers',
            self::Invitation => 'Invitation to set a password',
            self::Reset => 'Forgotten password',
            self::NotHere => 'Not here yet',
            self::Missed => 'What was missed',
            self::Recording => 'Recording to be seen',
            self::Reminder => 'Reminder',
        };
    }

    /**
     * @return array<string, string> what may stand in braces in a template of this kind, and what an example of it is
     */
    public function placeholders(): array
    {
        if ($this->isOfAccount()) {
            return [
                'name' => 'Ana Quiroga',
                'school' => 'Colegio Marisma',
                'link' => 'https://nomada.example/account/pass/…',
                'until' => 'Fri 12 Feb 09:52',
                'sign_in' => 'ana.quiroga@marisma.example',
            ];
        }
        if ($this->isOfAbsence()) {
            return [
                'name' => 'Mar Quiroga',
                'child' => 'Ana Quiroga',
                'school' => 'Colegio Marisma',
                'page' => 'https://nomada.example/children/…',
            ] +
                ($this === self::Missed
                    ? ['missed' => 'Y8 Marine Science, Tue 9 Feb 10:00: Harbours']
                    : ['class' => 'Y8 Marine Science', 'when' => 'Tue 9 Feb 10:00']);
        }
        if ($this === self::Reminder) {
            return [
                'name' => 'Ana Quiroga',
                'school' => 'Colegio Marisma',
                'sessions' => 'Y8 Marine Science, Tue 9 Feb 09:00–09:47',
                'page' => 'https://nomada.example/me',
            ];
        }
        $all =
            $this === self::Cancelled
                ? ['name' => 'Ana Quiroga', 'class' => 'Y8 Marine Science', 'school' => 'Colegio Marisma']
                : [
                    'name' => 'Ana Quiroga',
                    'class' => 'Y8 Marine Science',
                    'school' => 'Colegio Marisma',
                    'when' => 'Tue 9 Feb 09:00–09:45 in Santiago; Thu 11 Feb 09:00–09:45 in Santiago',
                ];

        return $all +
            match ($this) {
                self::Received => ['page' => 'https://nomada.example/register/12'],
                self::Accepted, self::Replaced, self::Teacher => [
                    'link' => 'https://nomada.example/join/…',
                    'phone' => '+34 910 555 010, PIN 204 118',
                ],
                self::Declined => [
                    'reason' => 'Use your school address.',
                    'page' => 'https://nomada.example/register/12',
                ],
                self::Elsewhere => ['page' => 'https://nomada.example/register/13'],
                self::Guardian => ['child' => 'Ana Quiroga'],
                self::Changed => ['change' => 'Tue 9 Feb is cancelled: boat trip'],
                self::Cancelled => ['title' => 'Practical'],
                self::Guest => ['link' => 'https://nomada.example/join/…', 'until' => 'Fri 26 Feb'],
                default => [],
            };
    }

    /** Whether it is of somebody's account, and of no class. */
    public function isOfAccount(): bool
    {
        return $this === self::Invitation || $this === self::Reset;
    }

    /** Whether it is of an absence: it tells guardians, or brings back what was missed. */
    public function isOfAbsence(): bool
    {
        return in_array($this, [self::NotHere, self::Missed, self::Recording], true);
    }

    /** Whether whoever gets it may do without: what tells of somebody else's sessions. */
    public function mayBeStopped(): bool
    {
        return in_array($this, [self::Guardian, self::Changed, self::Cancelled], true) || $this->isOfAbsence();
    }

    /** Whether it waits until the morning where it would come at night. */
    public function keepsQuiet(): bool
    {
        return in_array($this, [self::Changed, self::Reminder], true);
    }

    /** @return list<string> those without which the letter is of no use */
    public function needs(): array
    {
        return match ($this) {
            self::Accepted, self::Replaced, self::Guest, self::Teacher => ['link'],
            self::Invitation, self::Reset => ['link'],
            self::Declined => ['reason'],
            self::Guardian => ['child'],
            self::Changed => ['change'],
            self::NotHere => ['child'],
            self::Missed => ['child', 'missed'],
            self::Recording => ['page'],
            self::Reminder => ['sessions'],
            default => [],
        };
    }

    public function usual(): Template
    {
        return match ($this) {
            self::Received => new Template(
                $this,
                'Your registration for {class} has arrived',
                "Hello {name},\n\nyour registration for {class} has arrived. Somebody at {school} compares it with ".
                    "the roster; you get a letter when that is done.\n\nHow it stands: {page}",
            ),
            self::Accepted => new Template(
                $this,
                'You are registered for {class}',
                "Hello {name},\n\nyou are registered for {class}. This link is yours alone, and lets in nobody else:\n".
                    "{link}\n\nThe next sessions, on your clock: {when}\n\nThe whole timetable is attached for your ".
                    'calendar. If the link does not work, come in by phone: {phone}.',
            ),
            self::Declined => new Template(
                $this,
                'Your registration for {class} was declined',
                "Hello {name},\n\nyour registration for {class} was declined, because: {reason}\n\nIf that can be ".
                    'mended, register again: {page}',
            ),
            self::Elsewhere => new Template(
                $this,
                'Your registration now is for {class}',
                "Hello {name},\n\nyou are on the roster of {class}, so your registration was sent there. You need not ".
                    "do anything.\n\nHow it stands: {page}",
            ),
            self::Replaced => new Template(
                $this,
                'Your new link for {class}',
                "Hello {name},\n\nyour link for {class} was replaced; the old one opens nothing any more. This is the ".
                    "new one, and it is yours alone:\n{link}\n\nThe next sessions, on your clock: {when}\n\nIf it ".
                    'does not work, come in by phone: {phone}.',
            ),
            self::Guardian => new Template(
                $this,
                '{child} is registered for {class}',
                "Hello {name},\n\n{child} is registered for {class} at {school}. The next sessions, on {child}'s ".
                    "clock: {when}\n\nThe link is {child}'s own and lets in nobody else, so it does not stand here. ".
                    'The timetable is attached for your calendar.',
            ),
            self::Changed => new Template(
                $this,
                'Changed: {class}',
                "Hello {name},\n\nthe timetable of {class} has changed:\n{change}\n\nThe next sessions, on your ".
                    "clock: {when}\n\nThe timetable as it is now is attached for your calendar.",
            ),
            self::Cancelled => new Template(
                $this,
                'No more sessions: {class}',
                "Hello {name},\n\n{title} of {class} at {school} is not held any more. The sessions that were still ".
                    'to come are taken out of your calendar by what is attached.',
            ),
            self::Teacher => new Template(
                $this,
                'Your host link for {class}',
                "Hello {name},\n\nyou teach {class}. By this link you come in as the host, and nobody else does:\n".
                    "{link}\n\nThe next sessions, on your clock: {when}\n\nThe whole timetable is attached for your ".
                    'calendar. If the link does not work, come in by phone: {phone}.',
            ),
            self::Invitation => new Template(
                $this,
                'Your account at {school}',
                "Hello {name},\n\n{school} holds its live classes with Nomada. By this link you set your password; it ".
                    "works once, and until {until}:\n{link}\n\nAfterwards you sign in as {sign_in}.",
            ),
            self::Reset => new Template(
                $this,
                'A new password for {school}',
                "Hello {name},\n\nsomebody, probably you, asked for a new password. By this link you set one; it ".
                    "works once, and until {until}:\n{link}\n\nYou sign in as {sign_in}. If you did not ask, you need ".
                    'not '.
                    'do anything: your password stays as it is.',
            ),
            self::NotHere => new Template(
                $this,
                '{child} has not come to {class}',
                "Hello {name},\n\n{child} has not come to {class} at {school}, which began at {when}. Perhaps ".
                    'something '.
                    "keeps {child} from coming in; the school helps.\n\nIs {child} away? Tell it here, and it counts ".
                    'as excused: {page}',
            ),
            self::Missed => new Template(
                $this,
                'What {child} missed',
                "Hello {name},\n\n{child} was not there:\n{missed}\n\nAttendance, and telling an absence beforehand: ".
                    '{page}',
            ),
            self::Recording => new Template(
                $this,
                'The recording of {class}, {when}',
                "Hello {name},\n\n{child} was not there when {class} met on {when}. It was recorded, and can be ".
                    'seen now: {page}',
            ),
            self::Reminder => new Template(
                $this,
                'Soon: {sessions}',
                "Hello {name},\n\nsoon, on your clock:\n{sessions}\n\nYour links, and how to stop such reminders: "
                    .'{page}',
            ),
            self::Guest => new Template(
                $this,
                'Your invitation to {class}',
                "Hello {name},\n\n{school} invites you to {class}: {when}\n\nThis pass is for you alone, and good ".
                    "until {until}:\n{link}",
            ),
        };
    }
}
