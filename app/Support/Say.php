<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use IntlDateFormatter;
use Locale;
use Nomada\Core\Term\LocalDate;

/** Dates in the language of whoever reads the page. */
final class Say
{
    /** @var array<string, IntlDateFormatter> by language */
    private static array $formats = [];

    /** The name of a language, in itself: `English`, `español`. */
    public static function language(string $tag): string
    {
        return (string) Locale::getDisplayName($tag, $tag);
    }

    /** `Thu 18 Feb`, `jue 18 feb` */
    public static function day(LocalDate $day): string
    {
        $language = app()->getLocale();
        if ($language === 'en') {
            return $day->short();
        }
        $format = self::$formats[$language] ??= new IntlDateFormatter(
            $language,
            IntlDateFormatter::NONE,
            IntlDateFormatter::NONE,
            'UTC',
            IntlDateFormatter::GREGORIAN,
            'EEE d MMM',
        );

        return str_replace('.', '', (string) $format->format($day->day * 86400));
    }
}
