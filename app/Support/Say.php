<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\Number;
use IntlDateFormatter;
use Locale;
use Nomada\Core\Fault;
use Nomada\Core\Language\Phrases;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** What is said in the reader's language. */
final class Say
{
    /** @var array<string, string> the keys of words, by code */
    private static array $keys = [];

    /** @var array<string, IntlDateFormatter> by language and pattern */
    private static array $formats = [];

    /** The name of a language, in itself: `English`, `español`. */
    public static function language(string $tag): string
    {
        return (string) Locale::getDisplayName($tag, $tag);
    }

    /**
     * What core/ has to say, or a list of it with something between.
     *
     * @param  Said|list<Said>  $what
     */
    public static function this(Said|array $what, string $between = '; '): string
    {
        if (is_array($what)) {
            return implode($between, array_map(fn (Said $one): string => self::this($one), $what));
        }
        $ofCalendar = preg_match('/^(weekday|day_month)/', $what->code) === 1
            ? Phrases::ofCalendar(app()->getLocale(), $what)
            : null;
        if ($ofCalendar !== null) {
            return $ofCalendar;
        }
        $with = array_map(self::put(...), $what->with);
        $n = $what->with['n'] ?? null;
        $key = self::key($what->code);

        return is_int($n) ? trans_choice($key, $n, $with) : (string) __($key, $with);
    }

    /** The same in a given language. */
    public static function in(string $language, Said $what): string
    {
        $own = app()->getLocale();
        if ($own === $language) {
            return self::this($what);
        }
        app()->setLocale($language);
        try {
            return self::this($what);
        } finally {
            app()->setLocale($own);
        }
    }

    /** What is said to staff alone, else what is published too, else a whole key: that page's words. */
    private static function key(string $code): string
    {
        // Asked for some hundred times a page.
        return self::$keys[$code] ??=
            Arr::first(["says.$code", "published.$code"], fn (string $key): bool => Lang::has($key)) ?? $code;
    }

    /** Why no session is held: what people have written, or what a code of ours says. */
    public static function because(?string $reason): string
    {
        $said = Said::because((string) $reason);

        return $said === null ? (string) $reason : self::this($said);
    }

    /** What is put into words: text, a number, a date, something else to say, a fault, or a list of those. */
    public static function put(mixed $value): string
    {
        return match (true) {
            $value instanceof Said => self::this($value),
            $value instanceof Fault => FaultWords::of($value),
            $value instanceof LocalDate => self::day($value),
            $value instanceof Zone => self::place($value),
            is_int($value) && $value >= 10_000 => (string) Number::format($value, locale: app()->getLocale()),
            is_array($value) => implode(', ', array_map(self::put(...), $value)),
            is_string($value) => self::because($value),
            is_scalar($value) => (string) $value,
            default => '',
        };
    }

    /** `Madrid`, `Canarias` */
    public static function place(Zone $zone): string
    {
        return $zone->place(app()->getLocale());
    }

    /** `Thu 18 Feb`, `jue 18 feb` */
    public static function day(LocalDate $day): string
    {
        return self::spoken($day, 'EEE d MMM') ?? $day->short();
    }

    /** `18 Feb`, `18 feb` */
    public static function dayMonth(LocalDate $day): string
    {
        return self::spoken($day, 'd MMM') ?? $day->dayMonth();
    }

    /** `Thu`, `jue`; 1 is Monday */
    public static function weekday(int $weekday): string
    {
        // Day 4 of 1970 was a Sunday.
        return self::spoken(new LocalDate(3 + $weekday), 'EEE') ?? LocalDate::dayName($weekday);
    }

    /** In the reader's language; null in English, which writes dates in our own short way. */
    private static function spoken(LocalDate $day, string $pattern): ?string
    {
        $language = app()->getLocale();
        if ($language === 'en') {
            return null;
        }
        $format = self::$formats["$language $pattern"] ??= new IntlDateFormatter(
            $language,
            IntlDateFormatter::NONE,
            IntlDateFormatter::NONE,
            'UTC',
            IntlDateFormatter::GREGORIAN,
            $pattern,
        );

        return str_replace('.', '', (string) $format->format($day->day * 86400));
    }
}
