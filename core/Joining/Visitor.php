<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Registration\RegistrationState;

/**
 * Who is at the door: a teacher of the section, somebody with (or without) a registration, or a guest without an
 * account.
 */
final readonly class Visitor
{
    /**
     * @param  int|null  $person  null for a guest
     * @param  bool  $isSchool  has an account of the school
     * @param  bool  $looks  comes in as an observer, who neither hosts nor counts
     */
    public function __construct(
        public ?int $person,
        public bool $isHost,
        public bool $isOnRoster,
        public ?RegistrationState $registration,
        public bool $isSchool = true,
        public bool $looks = false,
    ) {
    }
}
