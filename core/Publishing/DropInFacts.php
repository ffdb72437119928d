<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Joining\OpeningHours;
use Nomada\Core\Term\Zone;

/** What publishing needs to know of one drop-in room. A hidden one is not among a section's facts. */
final readonly class DropInFacts
{
    /** @param  Zone  $zone  whose clock the hours are on */
    public function __construct(
        public int $id,
        public string $name,
        public OpeningHours $hours,
        public Zone $zone,
        public string $link,
        public string $joinCode,
        public string $dialIn,
        public string $pin,
    ) {
    }

    /** The same with one address to come in by, and no code, number or PIN. */
    public function enteredAt(string $link): self
    {
        return new self($this->id, $this->name, $this->hours, $this->zone, $link, '', '', '');
    }
}
