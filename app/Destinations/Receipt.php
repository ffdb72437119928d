<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/** What a destination hands back for a placement: its own name for it, and the version that is there now. */
final readonly class Receipt
{
    /** @param  string|null  $scheduleTag  the version but for answers, where the place invites */
    public function __construct(public string $remote, public string $etag, public ?string $scheduleTag = null)
    {
    }
}
