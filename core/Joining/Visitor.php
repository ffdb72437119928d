<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

/** Who stands at the door: a teacher of the section, or somebody with (or without) a registration. */
final readonly class Visitor
{
    /** @param  string|null  $registration accepted, waiting, declined, or null */
    public function __construct(
        public int $person,
        public bool $isHost,
        public bool $isOnRoster,
        public ?string $registration,
    ) {
    }
}
