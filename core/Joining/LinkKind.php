<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Language\Said;

/** A link of the whole series, a student's own, the teacher's, one outsider's pass, or that of a drop-in room. */
enum LinkKind: string
{
    case Series = 'series';
    case Personal = 'personal';
    case Host = 'host';
    case Guest = 'guest';
    case DropIn = 'drop-in';

    public function said(): Said
    {
        return new Said("link.$this->value");
    }
}
