<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

/** What of a series is at one kind of destination. */
final readonly class StandingPlace
{
    /**
     * @param  array<string, bool>  $items  by what it is called, whether what is there is stale; some hundreds at most
     */
    public function __construct(public string $title, public int $count, public int $stale, public array $items)
    {
    }
}
