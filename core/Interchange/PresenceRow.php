<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

/** One coming or going of a list: who, as it is written there, and when, in UTC seconds. */
final readonly class PresenceRow
{
    public function __construct(
        public int $line,
        public string $person,
        public string $address,
        public int $at,
        public bool $isJoin,
        public string $device,
    ) {
    }

    /** What the list knows somebody by. */
    public function who(): string
    {
        return $this->person === '' ? $this->address : $this->person;
    }
}
