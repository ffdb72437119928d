<?php

declare(strict_types=1);

namespace Nomada\App\Models\Concerns;

/** Rows that the school knows by an id of its own: OneRoster's sourcedId. */
trait FoundBySourcedId
{
    public static function bySourcedId(string $sourcedId): static
    {
        return static::query()->where('sourced_id', $sourcedId)->firstOrFail();
    }
}
