<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** Changes of a section that were told at once. */
final readonly class TellingFacts
{
    /** @param  list<SessionChange>  $changes */
    public function __construct(public int $id, public array $changes)
    {
    }
}
