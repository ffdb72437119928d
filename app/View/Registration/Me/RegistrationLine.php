<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Me;

use Nomada\App\View\Registration\RegistrationTone;
use Nomada\Core\Registration\RegistrationState;

/** Where a student registers, or has. */
final readonly class RegistrationLine
{
    /** @param  RegistrationState|null  $state  null before they have registered */
    public function __construct(public int $series, public string $name, public ?RegistrationState $state)
    {
    }

    public function tone(): string
    {
        return RegistrationTone::of($this->state);
    }
}
