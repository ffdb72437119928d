<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Showing;

/** A student whom posts may be for. */
final readonly class PersonChoice
{
    public function __construct(public string $sourcedId, public string $name)
    {
    }
}
