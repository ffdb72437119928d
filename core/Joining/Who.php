<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

/** Who may do a thing inside: nobody, the host and anybody who is given the floor, or everyone. */
enum Who: string
{
    case Nobody = 'nobody';
    case Host = 'host';
    case Everyone = 'everyone';

    public function openness(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
