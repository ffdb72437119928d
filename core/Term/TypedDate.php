<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/**
 * A date as people type it, in English or Spanish: `18 Feb`, `jue 18 feb`, `18 de febrero`, `18/2`, `18.2.27`, `Thu
 * 18`,
 * `Feb 18`, `2027-02-18`.
 *
 * A day comes before its month, as this product writes dates everywhere. What is left out is taken from the term: the
 * year in which the date lies in it, the month in which the 18th is a Thursday. Where that leaves two, it asks; a
 * weekday that does not fit its date is a slip and is said.
 */
final class TypedDate
{
    /** By the first letters of their names in English and Spanish, 1 is Monday. */
    private const WEEKDAYS = [
        'mon' => 1,
        'tue' => 2,
        'wed' => 3,
        'thu' => 4,
        'fri' => 5,
        'sat' => 6,
        'sun' => 7,
        'lun' => 1,
        'mar' => 2,
        'mie' => 3,
        'jue' => 4,
        'vie' => 5,
        'sab' => 6,
        'dom' => 7,
    ];

    private const MONTHS = [
        'jan' => 1,
        'feb' => 2,
        'mar' => 3,
        'apr' => 4,
        'may' => 5,
        'jun' => 6,
        'jul' => 7,
        'aug' => 8,
        'sep' => 9,
        'oct' => 10,
        'nov' => 11,
        'dec' => 12,
        'ene' => 1,
        'abr' => 4,
        'ago' => 8,
        'dic' => 12,
    ];

    // "Mar" is a Spanish Tuesday before a day and a month, else March; "martes" is never March.
    private const WEEKDAY = '(?:(?<weekday>mon|tue|wed|thu|fri|sat|sun|lun|mar(?=tes|[ '
        .'.,])|mie|jue|vie|sab|dom)[a-z]*\.?,?\s*)?';

    private const MONTH = '(?<month>jan|feb|mar(?!t)|apr|may|jun|jul|aug|sep|oct|nov|dec|ene|abr|ago|dic)[a-z]*';

    private const DAY = '(?<day>\d{1,2})(?:st|nd|rd|th)?';

    private const YEAR = '(?<year>\d{4}|\d{2})';

    /**
     * @param  LocalDate  $first  of the days that are likely: the term's
     * @param  string  $field  the name under which a fault is told
     *
     * @throws Fault where it is no date, or could be two
     */
    public static function read(string $typed, LocalDate $first, LocalDate $last, string $field = ''): LocalDate
    {
        $text = self::plain($typed);
        if (preg_match('/^\d{4}-?\d{2}-?\d{2}$/D', $text)) {
            try {
                return LocalDate::parse($text);
            } catch (Fault $e) {
                throw $e->at($field);
            }
        }
        $said = self::said($text);
        if ($said === null) {
            throw new Fault('date.unread', $field, ['typed' => $typed]);
        }
        [$weekday, $day, $month, $year] = $said;
        if ($month !== null && ($month < 1 || $month > 12)) {
            throw new Fault('date.order', $field, ['typed' => $typed]);
        }

        return $month === null
            ? self::byWeekday($typed, $weekday, $day, $first, $last, $field)
            : self::byMonth($typed, $weekday, [$day, $month, $year], $first, $last, $field);
    }

    /** In small letters, without accents, with single spaces. */
    private static function plain(string $typed): string
    {
        $text = mb_strtolower(trim(preg_replace('/\s+/u', ' ', $typed) ?? ''));

        return strtr($text, ['á' => 'a', 'é' => 'e']);
    }

    /** @return array{?int, int, ?int, ?int}|null weekday 1 to 7, day, month, year, as far as they are written */
    private static function said(string $text): ?array
    {
        $forms = [
            self::WEEKDAY.
            self::DAY.
            '[ .\/-]*(?:of |de )?'.
            self::MONTH.
            '(?:(?: de |[ .,\/-]*)'.
            self::YEAR.
            ')?',
            self::WEEKDAY.self::MONTH.'[ .]*'.self::DAY.'(?:(?:, ?| )'.self::YEAR.')?',
            self::WEEKDAY.self::DAY.' ?[.\/-] ?(?<number>\d{1,2})(?: ?[.\/-] ?'.self::YEAR.')?\.?',
            self::WEEKDAY.self::DAY,
        ];
        foreach ($forms as $form) {
            if (preg_match("/^$form\$/D", $text, $m, PREG_UNMATCHED_AS_NULL)) {
                $month = $m['month'] ?? null;
                $number = $m['number'] ?? null;
                $year = $m['year'] ?? null;
                $weekday = $m['weekday'] ?? null;

                return [
                    $weekday === null ? null : self::WEEKDAYS[$weekday],
                    (int) $m['day'],
                    $month === null ? ($number === null ? null : (int) $number) : self::MONTHS[$month],
                    $year === null ? null : (int) $year + (strlen($year) === 2 ? 2000 : 0),
                ];
            }
        }

        return null;
    }

    /** @param  array{int, int, ?int}  $said  day, month, year */
    private static function byMonth(
        string $typed,
        ?int $weekday,
        array $said,
        LocalDate $first,
        LocalDate $last,
        string $field,
    ): LocalDate {
        [$day, $month, $year] = $said;
        $years = $year !== null ? [$year] : range($first->parts()[0] - 1, $last->parts()[0] + 1);
        $dates = [];
        foreach ($years as $y) {
            if ($y >= 1900 && $y < 2200 && checkdate($month, $day, $y)) {
                $dates[] = LocalDate::of($y, $month, $day);
            }
        }
        if ($dates === []) {
            throw new Fault('date.none', $field, ['typed' => $typed]);
        }
        // Inside the term first, then the nearest to it: what lies outside is said as such by who asked.
        $away = fn (LocalDate $d): int => max(0, $first->day - $d->day, $d->day - $last->day);
        usort($dates, fn (LocalDate $a, LocalDate $b): int => [$away($a), $a->day] <=> [$away($b), $b->day]);
        $found = $dates[0];
        if ($weekday !== null && $found->weekday() !== $weekday) {
            throw new Fault('date.weekday', $field, [
                'date' => $found,
                'year' => $found->parts()[0],
            ]);
        }

        return $found;
    }

    private static function byWeekday(
        string $typed,
        ?int $weekday,
        int $day,
        LocalDate $first,
        LocalDate $last,
        string $field,
    ): LocalDate {
        $found = [];
        for ($d = $first->day; $d <= $last->day; $d++) {
            $isThatDay = LocalDate::partsOf($d)[2] === $day;
            if ($isThatDay && ($weekday === null || LocalDate::weekdayOf($d) === $weekday)) {
                $found[] = new LocalDate($d);
            }
        }
        if (count($found) === 1) {
            return $found[0];
        }
        if ($found === []) {
            throw new Fault('date.outside', $field, ['typed' => $typed]);
        }
        $some = array_slice($found, 0, 4);
        throw new Fault('date.several', $field, ['typed' => $typed, 'some' => $some]);
    }
}
