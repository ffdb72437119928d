<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

/** A link of the whole series, a student's own, the teacher's, one outsider's pass, or that of a drop-in room. */
enum LinkKind: string
{
    case Series = 'series';
    case Personal = 'personal';
    case Host = 'host';
    case Guest = 'guest';
    case DropIn = 'drop-in';

    public function words(): string
    {
        return match ($this) {
            self::Series => 'join link',
            self::Personal => 'personal link',
            self::Host => 'host link',
            self::Guest => 'guest pass',
            self::DropIn => 'drop-in link',
        };
    }
}
