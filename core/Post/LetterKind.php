<?php

declare(strict_types=1);

namespace Nomada\Core\Post;

/** What is written to people. */
enum LetterKind: string implements Wording
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

    /** Whether the sessions come with it, for a calendar (iTIP). */
    public function bringsSessions(): bool
    {
        return in_array(
            $this,
            [self::Accepted, self::Guardian, self::Changed, self::Replaced, self::Teacher],
            true,
        );
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

    public function code(): string
    {
        return $this->value;
    }

    public function needsText(): bool
    {
        return true;
    }
}
