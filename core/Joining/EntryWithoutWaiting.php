<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Language\Said;

/** Who goes straight in; each lets in everybody whom the one before it does. */
enum EntryWithoutWaiting: string
{
    case Nobody = 'nobody';
    case Accepted = 'accepted';
    case Roster = 'roster';
    case School = 'school';
    case Anyone = 'anyone';

    public function said(): Said
    {
        return new Said("lets_in.$this->value");
    }

    /** How open it is: larger is more. */
    public function openness(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
