<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

/** What stands of a series at one kind of place. */
final readonly class StandingPlace
{
    /**
     * @param  array<string, bool>  $items  by what it is called, whether what stands is stale; some hundreds at most
     */
    public function __construct(public string $title, public int $count, public int $stale, public array $items)
    {
    }
}
