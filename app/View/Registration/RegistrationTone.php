<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration;

use Nomada\Core\Registration\RegistrationState;

/** The colour in which the state of a registration is shown. */
final class RegistrationTone
{
    /** @return 'ok'|'bad'|'todo' */
    public static function of(?RegistrationState $state): string
    {
        return match ($state) {
            RegistrationState::Accepted => 'ok',
            RegistrationState::Declined => 'bad',
            default => 'todo',
        };
    }
}
