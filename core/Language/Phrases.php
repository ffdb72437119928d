<?php

declare(strict_types=1);

namespace Nomada\Core\Language;

use IntlDateFormatter;
use LogicException;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/**
 * The words of one language for what core/ says to people: sentences under codes, in which `:name` stands for what is
 * put there, and days as that language writes them.
 */
final class Phrases
{
    /** @var array<string, IntlDateFormatter> by language and pattern */
    private static array $formats = [];

    /** @var array<int, string> days written before, by day number */
    private array $days = [];

    /**
     * @param  string  $language  BCP 47
     * @param  array<array-key, mixed>  $words  by code; a code with dots is a path
     */
    public function __construct(public readonly string $language, private readonly array $words)
    {
    }

    /**
     * @param  array<string, string|int>  $with  what is put for each `:name`; it is never read for such names itself
     *
     * @throws LogicException where the language has no such words: a fault of its file, and none of the reader's
     */
    public function say(string $code, array $with = []): string
    {
        $found = $this->find($code) ?? throw new LogicException("There are no words for $code in $this->language.");
        if ($with === []) {
            return $found;
        }
        $pairs = [];
        foreach ($with as $name => $value) {
            $because = is_string($value) ? Said::because($value) : null;
            $pairs[":$name"] = $because === null ? (string) $value : $this->this($because);
        }

        return strtr($found, $pairs);
    }

    public function has(string $code): bool
    {
        return $this->find($code) !== null;
    }

    /** Something that core/ says, with all that is put into it in the same language. */
    public function this(Said $said): string
    {
        return self::ofCalendar($this->language, $said) ??
            $this->say($said->code, array_map($this->put(...), $said->with));
    }

    private function put(mixed $value): string
    {
        return match (true) {
            $value instanceof Said => $this->this($value),
            $value instanceof LocalDate => $this->day($value),
            $value instanceof Zone => $value->place($this->language),
            is_array($value) => implode(', ', array_map($this->put(...), $value)),
            is_scalar($value) => (string) $value,
            default => '',
        };
    }

    private function find(string $code): ?string
    {
        $found = $this->words;
        foreach (explode('.', $code) as $part) {
            $found = is_array($found) ? $found[$part] ?? null : null;
        }

        return is_string($found) ? $found : null;
    }

    /** `Thu 18 Feb`, `jue 18 feb` */
    public function day(LocalDate $day): string
    {
        return $this->days[$day->day] ??= $this->isEnglish()
            ? $day->short()
            : self::format($this->language, 'EEE d MMM', $day->day);
    }

    /** @param  int  $weekday  1 (Monday) to 7; `Thu`, `jue` */
    public function weekday(int $weekday): string
    {
        return (string) self::ofCalendar($this->language, Said::weekday($weekday));
    }

    /** What a language's calendar has words for, so that no file needs them: weekdays, dates. Null for all else. */
    public static function ofCalendar(string $language, Said $said): ?string
    {
        if (preg_match('/^day_month\.(-?\d+)$/D', $said->code, $m) === 1) {
            $day = new LocalDate((int) $m[1]);

            return $language === 'en' ? $day->dayMonth() : self::format($language, 'd MMM', $day->day);
        }
        if (preg_match('/^weekday(s|_names)\.([1-7])$/D', $said->code, $m) !== 1) {
            return null;
        }
        if ($m[1] === 's' && $language === 'en') {
            return LocalDate::dayName((int) $m[2]);
        }

        // 1970-01-05 was a Monday.
        return self::format($language, $m[1] === 's' ? 'EEE' : 'EEEE', 3 + (int) $m[2]);
    }

    private function isEnglish(): bool
    {
        return $this->language === 'en';
    }

    private static function format(string $language, string $pattern, int $day): string
    {
        $format = self::$formats["$language $pattern"] ??= new IntlDateFormatter(
            $language,
            IntlDateFormatter::NONE,
            IntlDateFormatter::NONE,
            'UTC',
            IntlDateFormatter::GREGORIAN,
            $pattern,
        );

        return str_replace('.', '', (string) $format->format($day * 86400));
    }
}
