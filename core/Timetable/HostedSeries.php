<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * A series as licences see it: when its sessions run, how many people come at most, and the account that it is on.
 */
final readonly class HostedSeries
{
    public int $longest;

    /**
     * @param  list<array{int, int}>  $sessions  UTC start and end, ascending
     * @param  int|null  $account  where it is now
     */
    public function __construct(
        public int $series,
        public array $sessions,
        public int $people = 0,
        public ?int $account = null,
    ) {
        $longest = 0;
        foreach ($sessions as [$start, $end]) {
            $longest = max($longest, $end - $start);
        }
        $this->longest = intdiv($longest + 59, 60);
    }
}
