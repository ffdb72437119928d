<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

use Nomada\Core\Registration\Address;
use Nomada\Core\Registration\PersonName;

/** Somebody who may have been in a session: a student of it, a teacher, an observer. */
final readonly class ListedPerson
{
    public PersonName $name;

    public string $address;

    public function __construct(public string $sourcedId, string $name, string $address)
    {
        $this->name = new PersonName($name);
        $this->address = Address::normal($address);
    }
}
