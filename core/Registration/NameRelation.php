<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/** How one name is to another. */
enum NameRelation: string
{
    case Equal = 'equal';
    case Containing = 'containing';
    case Near = 'near';
    case Different = 'different';

    public function isLike(): bool
    {
        return $this !== self::Different;
    }

    public function score(): int
    {
        return match ($this) {
            self::Equal => 3,
            self::Containing => 2,
            self::Near => 1,
            self::Different => 0,
        };
    }
}
