<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/**
 * Somebody who wants to be registered, as they typed themselves. `course` is the course whose class it is for,
 * `section` the section, `account` the person who was signed in.
 */
final readonly class Registrant
{
    public PersonName $name;

    public string $address;

    public function __construct(
        public int $id,
        string $name,
        string $address,
        public int $section,
        public int $course = 0,
        public ?int $account = null,
    ) {
        $this->name = new PersonName($name);
        $this->address = Address::normal($address);
    }
}
