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

    /** @return list<string> what may be in braces in a template of this kind */
    public function placeholders(): array
    {
        if ($this->isOfAccount()) {
            return ['name', 'school', 'link', 'until', 'sign_in'];
        }
        if ($this->isOfAbsence()) {
            return ['name', 'child', 'school', 'page', ...$this === self::Missed ? ['missed'] : ['class', 'when']];
        }
        if ($this === self::Reminder) {
            return ['name', 'school', 'sessions', 'page'];
        }

        return [
            ...['name', 'class', 'school'],
            ...$this === self::Cancelled ? [] : ['when'],
            ...match ($this) {
                self::Received, self::Elsewhere => ['page'],
                self::Accepted, self::Replaced, self::Teacher => ['link', 'phone'],
                self::Declined => ['reason', 'page'],
                self::Guardian => ['child'],
                self::Changed => ['change'],
                self::Cancelled => ['title'],
                self::Guest => ['link', 'until'],
                default => [],
            },
        ];
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

    /** Whether anybody who gets it may do without: what tells of somebody else's sessions. */
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
