<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/** Something else is there than what we left: a person decides, and no try of ours. */
final class Drifted extends DestinationFailure
{
    public function __construct(string $words, public readonly Found $theirs)
    {
        parent::__construct($words, true, null, 412);
    }
}
