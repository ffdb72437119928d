<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** What publishing needs to know of one drop-in room. A hidden one is not among a section's facts. */
final readonly class DropInFacts
{
    /** @param  string  $hours  in words, with the place whose clock they are on */
    public function __construct(
        public int $id,
        public string $name,
        public string $hours,
        public string $link,
        public string $joinCode,
        public string $dialIn,
        public string $pin,
    ) {
    }
}
