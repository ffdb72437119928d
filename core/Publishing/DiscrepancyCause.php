<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** Why somebody sees something else than the door would say. */
enum DiscrepancyCause: string
{
    case NotPublished = 'not-published';
    case ChangedThere = 'changed-there';
    case DeletedThere = 'deleted-there';
    case LeftAlone = 'left-alone';
    case NoAnswer = 'no-answer';

    /**
     * @param  string|null  $wanted  fingerprint of what should be
     * @param  string|null  $standing  fingerprint of what we left there
     * @param  string|null  $left  the version that we left there
     * @param  string|null  $there  the version that is there; null for nothing
     */
    public static function of(
        bool $isLeftAlone,
        ?string $wanted,
        ?string $standing,
        ?string $left,
        ?string $there,
    ): self {
        return match (true) {
            $isLeftAlone => self::LeftAlone,
            $standing !== null && $there === null => self::DeletedThere,
            $standing !== null && $there !== $left => self::ChangedThere,
            default => self::NotPublished,
        };
    }
}
