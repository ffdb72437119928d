<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** What a publish run does with a placement. */
enum Verb: string
{
    case Add = 'add';
    case Change = 'change';
    case Remove = 'remove';
    case Leave = 'leave';

    /** By the fingerprints of what should be and what is there; null for nothing. */
    public static function between(?string $wanted, ?string $standing): ?self
    {
        return match (true) {
            $wanted === null && $standing === null => null,
            $standing === null => self::Add,
            $wanted === null => self::Remove,
            $wanted === $standing => self::Leave,
            default => self::Change,
        };
    }
}
