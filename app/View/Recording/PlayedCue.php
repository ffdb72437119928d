<?php

declare(strict_types=1);

namespace Nomada\App\View\Recording;

/** One piece of a transcript, in milliseconds from its part's beginning. */
final readonly class PlayedCue
{
    public function __construct(public int $from, public int $to, public string $said, public string $speaker)
    {
    }
}
