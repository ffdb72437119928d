<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

/** How the doors of a session are at a moment. */
enum DoorState: string
{
    case NotHeld = 'not-held';
    case NoLink = 'no-link';
    case Hidden = 'hidden';
    case Over = 'over';
    case Ended = 'ended';
    case Running = 'running';
    case Open = 'open';
    case Shut = 'shut';

    public function tone(): string
    {
        return match ($this) {
            self::NotHeld, self::NoLink => 'bad',
            self::Hidden => 'todo',
            self::Running, self::Open => 'good',
            default => '',
        };
    }
}
