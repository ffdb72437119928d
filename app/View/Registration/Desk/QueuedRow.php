<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Desk;

/** Somebody on a waiting list. */
final readonly class QueuedRow
{
    /**
     * @param  string  $for  the section, with the day where it is for one session; $place in the order of arrival,
     *   from 1
     */
    public function __construct(
        public int $id,
        public string $for,
        public int $place,
        public string $name,
        public string $address,
        public string $arrived,
    ) {
    }
}
