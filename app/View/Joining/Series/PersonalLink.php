<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

/** One student's own link. */
final readonly class PersonalLink
{
    public function __construct(public int $id, public string $name)
    {
    }
}
