<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Presence;

/** A student as the tables of attendance have them. */
final readonly class Pupil
{
    public function __construct(public int $id, public string $sourcedId, public string $name)
    {
    }
}
