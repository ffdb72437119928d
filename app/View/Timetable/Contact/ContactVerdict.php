<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Contact;

/** How contact time stands against its target. */
enum ContactVerdict: string
{
    case None = 'none';
    case Short = 'short';
    case Just = 'just';
    case Over = 'over';

    /** @param  int|null  $short  minutes that are missing; null where there is no target */
    public static function of(?int $short): self
    {
        return match (true) {
            $short === null => self::None,
            $short > 0 => self::Short,
            $short < 0 => self::Over,
            default => self::Just,
        };
    }
}
