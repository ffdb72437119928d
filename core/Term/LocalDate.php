<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/**
 * A date on the wall calendar, without a zone: held as days since 1 January 1970, so that patterns are whole-number
 * arithmetic. Days run Monday (1) to Sunday (7), as ISO 8601 counts them.
 */
final readonly class LocalDate
{
    private const DAYS = [1 => 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

    private const MONTHS = [
        1 => 'Jan',
        'Feb',
        'Mar',
        'Apr',
        'May',
        'Jun',
        'Jul',
        'Aug',
        'Sep',
        'Oct',
        'Nov',
        'Dec',
    ];

    public function __construct(public int $day)
    {
    }

    /** @throws Fault where there is no such date */
    public static function of(int $year, int $month, int $dayOfMonth): self
    {
        if ($year < 1900 || $year > 2199 || ! checkdate($month, $dayOfMonth, $year)) {
            throw new Fault('date.none_such', '', [
                'date' => sprintf('%04d-%02d-%02d', $year, $month, $dayOfMonth),
            ]);
        }

        return new self(self::toDay($year, $month, $dayOfMonth));
    }

    /**
     * Reads `2027-02-18` and the basic form `20270218`, nothing else.
     *
     * @throws Fault
     */
    public static function parse(string $text): self
    {
        if (! preg_match('/^(\d{4})-?(\d{2})-?(\d{2})$/D', trim($text), $m)) {
            throw new Fault('date.iso', '', ['text' => $text]);
        }

        return self::of((int) $m[1], (int) $m[2], (int) $m[3]);
    }

    public function weekday(): int
    {
        return self::weekdayOf($this->day);
    }

    public static function weekdayOf(int $day): int
    {
        $r = ($day + 3) % 7;

        return ($r < 0 ? $r + 7 : $r) + 1;
    }

    /** The Monday of this date's week. */
    public function monday(): self
    {
        return new self($this->day - $this->weekday() + 1);
    }

    public function plus(int $days): self
    {
        return new self($this->day + $days);
    }

    /** @return array{int, int, int} year, month, day of month */
    public function parts(): array
    {
        return self::partsOf($this->day);
    }

    public function iso(): string
    {
        return vsprintf('%04d-%02d-%02d', $this->parts());
    }

    /** `20270218`, as iCalendar writes it. */
    public function basic(): string
    {
        return vsprintf('%04d%02d%02d', $this->parts());
    }

    /** `Thu 18 Feb`, as every screen writes it. */
    public function short(): string
    {
        [, $m, $d] = $this->parts();

        return self::DAYS[$this->weekday()].' '.$d.' '.self::MONTHS[$m];
    }

    /** `18 Feb` */
    public function dayMonth(): string
    {
        [, $m, $d] = $this->parts();

        return $d.' '.self::MONTHS[$m];
    }

    public static function dayName(int $weekday): string
    {
        return self::DAYS[$weekday];
    }

    /**
     * Days since 1970-01-01 of a proleptic Gregorian date (the era-based arithmetic of the civil calendar).
     */
    public static function toDay(int $year, int $month, int $dayOfMonth): int
    {
        $y = $month <= 2 ? $year - 1 : $year;
        $era = intdiv($y >= 0 ? $y : $y - 399, 400);
        $yoe = $y - $era * 400;
        $doy = intdiv(153 * ($month + ($month > 2 ? -3 : 9)) + 2, 5) + $dayOfMonth - 1;

        return $era * 146097 + $yoe * 365 + intdiv($yoe, 4) - intdiv($yoe, 100) + $doy - 719468;
    }

    /** @return array{int, int, int} year, month, day of month */
    public static function partsOf(int $day): array
    {
        $z = $day + 719468;
        $era = intdiv($z >= 0 ? $z : $z - 146096, 146097);
        $doe = $z - $era * 146097;
        $yoe = intdiv($doe - intdiv($doe, 1460) + intdiv($doe, 36524) - intdiv($doe, 146096), 365);
        $doy = $doe - (365 * $yoe + intdiv($yoe, 4) - intdiv($yoe, 100));
        $mp = intdiv(5 * $doy + 2, 153);
        $m = $mp < 10 ? $mp + 3 : $mp - 9;

        return [$yoe + $era * 400 + ($m <= 2 ? 1 : 0), $m, $doy - intdiv(153 * $mp + 2, 5) + 1];
    }
}
