<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Language\Said;

/**
 * What people inside a session may be allowed to do. This is the one list: the form, its validation, the sentences and
 * the contract of the conference service go by it.
 */
enum FloorRight: string
{
    case Speak = 'speak';
    case Camera = 'camera';
    case Chat = 'chat';
    case Screen = 'screen';
    case Draw = 'draw';
    case Record = 'record';

    /** @return list<Who> who can have it; a session is recorded by its host or not at all */
    public function choices(): array
    {
        return $this === self::Record ? [Who::Nobody, Who::Host] : Who::cases();
    }

    /** Whether somebody who is given the floor has it, too, where it is the host's. */
    public function comesWithTheFloor(): bool
    {
        return $this !== self::Record;
    }

    public function said(): Said
    {
        return new Said("floor.$this->value");
    }
}
