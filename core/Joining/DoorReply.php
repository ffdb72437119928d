<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

/**
 * What the door can answer. Each has words for anybody who stands before it, which the door page puts in their own
 * clock.
 */
enum DoorReply: string
{
    case ComeIn = 'come-in';
    case WaitOutside = 'wait-outside';
    case TooEarly = 'too-early';
    case NoHost = 'no-host';
    case Over = 'over';
    case Cancelled = 'cancelled';
    case Moved = 'moved';
    case Replaced = 'replaced';
    case Shut = 'shut';
    case Expired = 'expired';
    case NotYours = 'not-yours';
    case NotOnRoster = 'not-on-roster';
    case RegisterFirst = 'register-first';
    case Waiting = 'waiting';
    case Declined = 'declined';
    case Full = 'full';
    case Elsewhere = 'elsewhere';
    case SentOut = 'sent-out';
    /** A guest's pass that another browser keeps. */
    case PassElsewhere = 'pass-elsewhere';
    case Left = 'left';
    case Ahead = 'ahead';

    /** Whether anybody who gets it may press a button that brings them to the room. */
    public function opens(): bool
    {
        return in_array($this, [self::ComeIn, self::WaitOutside, self::Elsewhere], true);
    }
}
