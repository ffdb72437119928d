<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

/** What the door can answer. Each has words for whoever stands before it, which the door page puts in their own clock. */
enum DoorReply: string
{
    case ComeIn = 'come-in';
    case TooEarly = 'too-early';
    case Over = 'over';
    case Cancelled = 'cancelled';
    case Replaced = 'replaced';
    case Hidden = 'hidden';
    case NotYours = 'not-yours';
    case NotOnRoster = 'not-on-roster';
    case RegisterFirst = 'register-first';
    case Waiting = 'waiting';
    case Declined = 'declined';
}
