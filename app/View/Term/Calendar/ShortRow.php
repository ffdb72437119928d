<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

/** A day that follows another plan than the usual one. */
final readonly class ShortRow
{
    public function __construct(public int $id, public string $day, public string $reason, public string $plan)
    {
    }
}
