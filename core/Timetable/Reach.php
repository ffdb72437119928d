<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * How far an edit goes: this session, this and later ones, or the whole series. Sessions that have started never
 * change.
 */
enum Reach: string
{
    case This = 'this';
    case Later = 'later';
    case Whole = 'whole';

    public function words(): string
    {
        return match ($this) {
            self::This => 'this one',
            self::Later => 'this and later',
            self::Whole => 'the whole series',
        };
    }
}
