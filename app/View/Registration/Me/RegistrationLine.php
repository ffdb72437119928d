<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Me;

/** Where a student registers, or has. */
final readonly class RegistrationLine
{
    /** @param  'waiting'|'queued'|'accepted'|'declined'|'none'  $state */
    public function __construct(public int $series, public string $name, public string $state)
    {
    }

    public function tone(): string
    {
        return ['accepted' => 'ok', 'declined' => 'bad'][$this->state] ?? 'todo';
    }
}
