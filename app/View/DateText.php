<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;

/**
 * A date's value as its field shows it: `Thu 18 Feb 2027`, `jue 18 feb 2027`; what is no date yet stays as it was
 * typed.
 */
final class DateText
{
    public static function of(mixed $value): string
    {
        $text = is_string($value) ? $value : '';
        try {
            $date = LocalDate::parse($text);

            return Say::day($date)." {$date->parts()[0]}";
        } catch (Fault) {
            return $text;
        }
    }
}
