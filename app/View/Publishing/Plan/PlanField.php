<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Plan;

/** One field of what is planned: what it says, and what it said before where that is changed. */
final readonly class PlanField
{
    public function __construct(public string $name, public string $before, public string $after)
    {
    }
}
