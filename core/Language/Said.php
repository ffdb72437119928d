<?php

declare(strict_types=1);

namespace Nomada\Core\Language;

use Nomada\Core\Term\Because;
use Nomada\Core\Term\LocalDate;

/**
 * Something that core/ has to say: the code of its words (lang/…/says.php), and what is put into them. `n`, where there
 * is one, chooses the form of the number. What is kept of it (a history) is read by everybody in their own language.
 */
final readonly class Said
{
    /** @param  array<string, mixed>  $with  text, a number, a date, something else to say, or a list of those */
    public function __construct(public string $code, public array $with = [])
    {
    }

    /**
     * Why no session is held, where that is a code ({@see \Nomada\Core\Term\Because}); null where people have written
     * it.
     */
    public static function because(string $reason): ?self
    {
        if (! str_starts_with($reason, '=')) {
            return null;
        }
        if (in_array($reason, Because::CODES, true)) {
            return new self('because.'.substr($reason, 1));
        }

        return preg_match('/^=no_period\|([^|]*)\|(.*)$/Ds', $reason, $m) === 1
            ? new self('because.no_period', ['period' => $m[1], 'plan' => $m[2]])
            : null;
    }

    /** A weekday, 1 (Monday) to 7, as a list writes it: `Tue`. Its words are the calendar's, not ours. */
    public static function weekday(int $weekday): self
    {
        return new self("weekdays.$weekday");
    }

    /** The same in full: `Tuesday`. */
    public static function weekdayName(int $weekday): self
    {
        return new self("weekday_names.$weekday");
    }

    /** A date without its weekday: `18 Feb`. Its words are the calendar's. */
    public static function dayMonth(LocalDate $day): self
    {
        return new self("day_month.$day->day");
    }

    /**
     * One after the other with nothing but a space between: "Tue Thu".
     *
     * @param  non-empty-list<self>  $all
     */
    public static function row(array $all): self
    {
        $first = array_shift($all);

        return $all === [] ? $first : new self('row', ['first' => $first, 'rest' => self::row($all)]);
    }

    /**
     * Several rules of one thing, one after the other with a semicolon between.
     *
     * @param  non-empty-list<self>  $all
     */
    public static function parts(array $all): self
    {
        $first = array_shift($all);

        return $all === [] ? $first : new self('parts', ['first' => $first, 'rest' => self::parts($all)]);
    }

    /**
     * One after the other with a comma between, and no word before the last.
     *
     * @param  non-empty-list<self>  $all
     */
    public static function list(array $all): self
    {
        return count($all) === 1 ? $all[0] : new self('list', ['list' => $all]);
    }

    /** @return array{code: string, with?: array<string, mixed>} what `from` reads back */
    public function toArray(): array
    {
        $with = array_map(self::plain(...), $this->with);

        return ['code' => $this->code] + ($with === [] ? [] : ['with' => $with]);
    }

    /** @param  array<array-key, mixed>  $plain */
    public static function from(array $plain): self
    {
        $with = [];
        foreach ((array) ($plain['with'] ?? []) as $name => $value) {
            $with[(string) $name] = self::read($value);
        }

        return new self(is_string($plain['code'] ?? null) ? $plain['code'] : '', $with);
    }

    private static function plain(mixed $value): mixed
    {
        return match (true) {
            $value instanceof self => ['said' => $value->toArray()],
            $value instanceof LocalDate => ['day' => $value->iso()],
            is_array($value) => ['list' => array_map(self::plain(...), array_values($value))],
            default => $value,
        };
    }

    private static function read(mixed $value): mixed
    {
        return match (true) {
            ! is_array($value) => $value,
            is_array($value['said'] ?? null) => self::from($value['said']),
            is_string($value['day'] ?? null) => LocalDate::parse($value['day']),
            default => array_map(self::read(...), array_values((array) ($value['list'] ?? []))),
        };
    }

    /**
     * Several things in one: "a, b and c".
     *
     * @param  non-empty-list<self>  $all
     */
    public static function and(array $all): self
    {
        $last = array_pop($all);

        return $all === [] ? $last : new self('and', ['list' => $all, 'last' => $last]);
    }
}
