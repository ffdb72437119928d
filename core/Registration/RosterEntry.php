<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/** A student on a roster, and whether a registration of theirs is accepted already. */
final readonly class RosterEntry
{
    public PersonName $name;

    public string $address;

    public function __construct(
        public int $person,
        string $name,
        string $address,
        public int $section,
        public int $course = 0,
        public bool $isRegistered = false,
    ) {
        $this->name = new PersonName($name);
        $this->address = Address::normal($address);
    }
}
