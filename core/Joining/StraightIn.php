<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

/** Who goes straight in; each lets in everybody whom the one before it does. */
enum StraightIn: string
{
    case Nobody = 'nobody';
    case Accepted = 'accepted';
    case Roster = 'roster';
    case School = 'school';
    case Anyone = 'anyone';

    public function words(): string
    {
        return match ($this) {
            self::Nobody => 'nobody',
            self::Accepted => 'registered students',
            self::Roster => 'everybody on the roster',
            self::School => 'every account of the school',
            self::Anyone => 'anyone with the link',
        };
    }

    /** How open it is: larger is more. */
    public function openness(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
