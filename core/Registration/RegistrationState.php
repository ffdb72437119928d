<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/** Where a registration has got to. */
enum RegistrationState: string
{
    /** Has a seat, and somebody has yet to decide. */
    case Waiting = 'waiting';
    /** On the waiting list: no seat is free. */
    case Queued = 'queued';
    case Accepted = 'accepted';
    case Declined = 'declined';
    /** Taken back, or the student has left the roster. */
    case Withdrawn = 'withdrawn';

    /** Those that somebody has yet to decide. */
    public const UNDECIDED = [self::Waiting, self::Queued];

    /** Those that count against the seats. */
    public const SEATED = [self::Accepted, self::Waiting];

    /** Those that have not come to an end; of several, the first is the one to do something about. */
    public const CURRENT = [self::Waiting, self::Queued, self::Accepted];

    public function isCurrent(): bool
    {
        return in_array($this, self::CURRENT, true);
    }
}
