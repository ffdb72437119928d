<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

/** A session with a door of its own. */
final readonly class OwnDoor
{
    public function __construct(public int $session, public string $day, public string $words)
    {
    }
}
