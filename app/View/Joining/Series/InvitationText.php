<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

/** The whole invitation on one clock, and how many students live by it. */
final readonly class InvitationText
{
    public function __construct(public string $place, public int $students, public string $text)
    {
    }
}
