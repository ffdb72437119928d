<?php

declare(strict_types=1);

namespace Nomada\App\Support;

/** Small help with words on screen. */
final class Words
{
    /** "9 h 45 min" */
    public static function minutes(int $minutes): string
    {
        $h = intdiv($minutes, 60);
        $m = $minutes % 60;

        return trim(($h > 0 ? "$h h " : '').($m > 0 || $h === 0 ? "$m min" : ''));
    }
}
