<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Series;

/** A guest's pass. */
final readonly class GuestLine
{
    /** @param  string  $until  the last day on which it is good; $only the one session that it is for, or empty */
    public function __construct(
        public int $id,
        public string $name,
        public string $until,
        public string $only,
        public string $address,
    ) {
    }
}
