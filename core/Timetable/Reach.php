<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;

/**
 * How far an edit goes: this session, this and later ones, or the whole series. Sessions that have started never
 * change.
 */
enum Reach: string
{
    case This = 'this';
    case Later = 'later';
    case Whole = 'whole';

    public function said(): Said
    {
        return new Said("reach.$this->value");
    }
}
