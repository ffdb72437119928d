<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Me;

/** A drop-in room of one of a student's sections. */
final readonly class RoomLine
{
    /** @param  string  $hours  that come next; $until  till when it is open now, or null */
    public function __construct(
        public string $name,
        public string $hours,
        public ?string $until,
        public string $link,
    ) {
    }
}
