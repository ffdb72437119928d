<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

/** What came of trying a place: whether it can be used, and what it answered, in words. */
final readonly class ConnectionCheck
{
    /** @param  list<string>  $words */
    public function __construct(public bool $works, public array $words)
    {
    }
}
