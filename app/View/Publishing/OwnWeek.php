<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

/** One week of the course page of ours. */
final readonly class OwnWeek
{
    /**
     * @param  array<mixed>  $sessions  lines
     * @param  array<string, string|list<string>>  $fields  by the words that are there
     */
    public function __construct(public int $number, public array $sessions, public array $fields)
    {
    }
}
