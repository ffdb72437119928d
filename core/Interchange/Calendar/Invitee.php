<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

/** Whom an iTIP message (RFC 5546) is from and to: a calendar then takes the sessions up, or takes them out again. */
final readonly class Invitee
{
    public function __construct(
        public string $organizer,
        public string $organizerAddress,
        public string $name,
        public string $address,
        public bool $isCancelled = false,
    ) {
    }
}
