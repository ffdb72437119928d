<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/** An online room at the conference bridge. */
final readonly class Room
{
    public function __construct(public string $id, public string $dialIn, public string $pin)
    {
    }
}
