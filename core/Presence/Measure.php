<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

/** What a participation score can be made of. Words in lang/en/presence.php. Lines to the teacher alone never count. */
enum Measure: string
{
    case Present = 'present';
    case Punctual = 'punctual';
    case Answers = 'answers';
    case Hands = 'hands';
    case Lines = 'lines';

    /** Whether it is a share of the sessions, in per cent, and not a number of things done. */
    public function isShare(): bool
    {
        return $this === self::Present || $this === self::Punctual;
    }
}
