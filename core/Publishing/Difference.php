<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** One session that somebody sees differently from how the door would say; both starts in UTC seconds. */
final readonly class Difference
{
    public function __construct(public DiscrepancyKind $seen, public ?int $start, public ?int $there = null)
    {
    }
}
