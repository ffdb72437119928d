<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Register;

use Nomada\App\View\Registration\RegistrationTone;
use Nomada\Core\Registration\RegistrationState;

/** How one registration of a student stands. */
final readonly class OwnRegistration
{
    /**
     * @param  string  $day  of the one session that it is for, or empty
     * @param  string|null  $reason  why it was declined
     * @param  int  $place  on the waiting list, from 1; 0 where it is on none
     */
    public function __construct(
        public int $id,
        public RegistrationState $state,
        public string $day,
        public ?string $reason,
        public int $place,
    ) {
    }

    public function tone(): string
    {
        return RegistrationTone::of($this->state);
    }

    /** Whether it still holds, and could be taken back. */
    public function holds(): bool
    {
        return $this->state->isCurrent();
    }
}
