<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/**
 * An RFC 5545 RRULE, of the parts that a timetable uses: DAILY, WEEKLY and MONTHLY, with INTERVAL, COUNT, UNTIL, WKST,
 * BYDAY (numbered under MONTHLY), BYMONTHDAY, BYMONTH and, under MONTHLY, BYSETPOS. Any other part is a fault that
 * names it.
 */
final readonly class RecurrenceRule
{
    private const CODES = ['MO' => 1, 'TU' => 2, 'WE' => 3, 'TH' => 4, 'FR' => 5, 'SA' => 6, 'SU' => 7];

    private const KNOWN = [
        'FREQ',
        'INTERVAL',
        'COUNT',
        'UNTIL',
        'WKST',
        'BYDAY',
        'BYMONTHDAY',
        'BYMONTH',
        'BYSETPOS',
    ];

    /**
     * @param  list<array{int, int}>  $byDay  weekday 1 to 7, and which one in the month (0 every, -1 the last)
     * @param  list<int>  $byMonthDay  1 to 31, or from the end: -1 is the last day
     * @param  list<int>  $byMonth
     * @param  list<int>  $bySetPos
     */
    private function __construct(
        public string $freq,
        public int $interval,
        public ?int $count,
        public ?LocalDate $until,
        public ?int $untilInstant,
        public int $weekStart,
        public array $byDay,
        public array $byMonthDay,
        public array $byMonth,
        public array $bySetPos,
    ) {
    }

    /**
     * @param  Zone  $zone  in which an UNTIL given in UTC is read as a date
     *
     * @throws Fault naming the part
     */
    public static function parse(string $text, Zone $zone): self
    {
        $text = strtoupper(trim($text));
        $text = str_starts_with($text, 'RRULE:') ? substr($text, 6) : $text;
        $parts = [];
        foreach (explode(';', rtrim($text, ';')) as $piece) {
            if (! preg_match('/^([A-Z-]+)=(.+)$/D', trim($piece), $m)) {
                throw new Fault('rule.piece', '', ['piece' => $piece]);
            }
            if (! in_array($m[1], self::KNOWN, true)) {
                throw new Fault('rule.unknown', '', ['part' => $m[1], 'known' => self::KNOWN]);
            }
            if (isset($parts[$m[1]])) {
                throw new Fault('rule.twice', '', ['part' => $m[1]]);
            }
            $parts[$m[1]] = $m[2];
        }
        $freq = $parts['FREQ'] ?? throw new Fault('rule.freq');
        if (! in_array($freq, ['DAILY', 'WEEKLY', 'MONTHLY'], true)) {
            throw new Fault('rule.freq_unknown', '', ['freq' => $freq]);
        }
        if (isset($parts['COUNT'], $parts['UNTIL'])) {
            throw new Fault('rule.both');
        }
        $byDay = self::byDay($parts['BYDAY'] ?? null, $freq);
        $byMonthDay = self::numbers('BYMONTHDAY', $parts['BYMONTHDAY'] ?? null, 31);
        if ($freq === 'WEEKLY' && $byMonthDay !== []) {
            throw new Fault('rule.monthday');
        }
        $bySetPos = self::numbers('BYSETPOS', $parts['BYSETPOS'] ?? null, 366);
        if ($bySetPos !== [] && $freq !== 'MONTHLY') {
            throw new Fault('rule.setpos');
        }
        if ($bySetPos !== [] && $byDay === [] && $byMonthDay === []) {
            throw new Fault('rule.setpos_alone');
        }
        $byMonth = self::numbers('BYMONTH', $parts['BYMONTH'] ?? null, 12);
        if ($byMonth !== [] && min($byMonth) < 1) {
            throw new Fault('rule.month');
        }
        [$until, $untilInstant] = self::until($parts['UNTIL'] ?? null, $zone);

        return new self(
            $freq,
            self::number('INTERVAL', $parts['INTERVAL'] ?? '1', 1, 1000),
            isset($parts['COUNT']) ? self::number('COUNT', $parts['COUNT'], 1, 5000) : null,
            $until,
            $untilInstant,
            self::weekStart($parts['WKST'] ?? 'MO'),
            $byDay,
            $byMonthDay,
            $byMonth,
            $bySetPos,
        );
    }

    /**
     * The rule's days from its start on, ascending, up to a last day; COUNT and UNTIL are the caller's business (see
     * {@see SeriesEnd}).
     *
     * @return iterable<int> day numbers
     */
    public function days(LocalDate $start, int $last): iterable
    {
        return match ($this->freq) {
            'DAILY' => $this->daily($start, $last),
            'WEEKLY' => $this->weekly($start, $last),
            default => $this->monthly($start, $last),
        };
    }

    /** The rule as text without COUNT and UNTIL, parts in a fixed order. */
    public function text(): string
    {
        $codes = array_flip(self::CODES);
        $out = ["FREQ=$this->freq"];
        if ($this->interval > 1) {
            $out[] = "INTERVAL=$this->interval";
        }
        if ($this->byMonth !== []) {
            $out[] = 'BYMONTH='.implode(',', $this->byMonth);
        }
        if ($this->byMonthDay !== []) {
            $out[] = 'BYMONTHDAY='.implode(',', $this->byMonthDay);
        }
        if ($this->byDay !== []) {
            $out[] =
                'BYDAY='.
                implode(
                    ',',
                    array_map(
                        fn (array $d): string => ($d[1] === 0 ? '' : (string) $d[1]).($codes[$d[0]] ?? ''),
                        $this->byDay,
                    ),
                );
        }
        if ($this->bySetPos !== []) {
            $out[] = 'BYSETPOS='.implode(',', $this->bySetPos);
        }
        if ($this->weekStart !== 1) {
            $out[] = 'WKST='.($codes[$this->weekStart] ?? 'MO');
        }

        return implode(';', $out);
    }

    /**
     * The same rule with what it takes from its first day written out: a WEEKLY or MONTHLY rule without a BY part means
     * its start's weekday or day of the month, and must go on meaning it when the start moves.
     */
    public function anchored(LocalDate $start): self
    {
        if ($this->byDay !== [] || $this->byMonthDay !== [] || $this->freq === 'DAILY') {
            return $this;
        }
        $day = $start->parts()[2];

        return new self(
            $this->freq,
            $this->interval,
            $this->count,
            $this->until,
            $this->untilInstant,
            $this->weekStart,
            $this->freq === 'WEEKLY' ? [[$start->weekday(), 0]] : [],
            $this->freq === 'MONTHLY' ? [$day] : [],
            $this->byMonth,
            $this->bySetPos,
        );
    }

    /** The same as our own weekly pattern, where it is one. */
    public function asWeekly(): ?WeeklyPattern
    {
        // Weeks counted from another day than Monday are ours only where every week counts; so is a daily rule on
        // chosen weekdays.
        $plain =
            $this->byDay !== [] &&
            $this->byMonth === [] &&
            $this->byMonthDay === [] &&
            ($this->interval === 1
                ? $this->freq !== 'MONTHLY'
                : $this->freq === 'WEEKLY' && $this->weekStart === 1);

        return $plain && $this->interval <= 26
            ? new WeeklyPattern(array_map(fn (array $d): int => $d[0], $this->byDay), $this->interval)
            : null;
    }

    /** @return iterable<int> */
    private function daily(LocalDate $start, int $last): iterable
    {
        $weekdays = array_map(fn (array $d): int => $d[0], $this->byDay);
        for ($day = $start->day; $day <= $last; $day += $this->interval) {
            if (
                ($weekdays === [] || in_array(LocalDate::weekdayOf($day), $weekdays, true)) &&
                $this->monthAllows($day) &&
                $this->monthDayAllows($day)
            ) {
                yield $day;
            }
        }
    }

    /** @return iterable<int> */
    private function weekly(LocalDate $start, int $last): iterable
    {
        $weekdays = $this->byDay === [] ? [$start->weekday()] : array_map(fn (array $d): int => $d[0], $this->byDay);
        $offsets = array_unique(array_map(fn (int $d): int => ($d - $this->weekStart + 7) % 7, $weekdays));
        sort($offsets);
        $week = $start->day - (($start->weekday() - $this->weekStart + 7) % 7);
        for (; $week <= $last; $week += 7 * $this->interval) {
            foreach ($offsets as $offset) {
                $day = $week + $offset;
                if ($day >= $start->day && $day <= $last && $this->monthAllows($day)) {
                    yield $day;
                }
            }
        }
    }

    /** @return iterable<int> */
    private function monthly(LocalDate $start, int $last): iterable
    {
        [$year, $month, $dayOfMonth] = $start->parts();
        for ($n = 0; ; $n += $this->interval) {
            $y = $year + intdiv($month - 1 + $n, 12);
            $m = (($month - 1 + $n) % 12) + 1;
            $first = LocalDate::toDay($y, $m, 1);
            if ($first > $last) {
                return;
            }
            if ($this->byMonth !== [] && ! in_array($m, $this->byMonth, true)) {
                continue;
            }
            foreach (
                $this->inMonth(
                    $first,
                    LocalDate::toDay($m === 12 ? $y + 1 : $y, ($m % 12) + 1, 1) - $first,
                    $dayOfMonth,
                ) as $day
            ) {
                if ($day >= $start->day && $day <= $last) {
                    yield $day;
                }
            }
        }
    }

    /**
     * BYMONTHDAY limits BYDAY where both are given (RFC 5545 3.3.10, the table of BY parts, note 1).
     *
     * @return list<int>
     */
    private function inMonth(int $first, int $length, int $dayOfMonth): array
    {
        $byMonthDay = $this->byMonthDay;
        if ($byMonthDay === [] && $this->byDay === []) {
            $byMonthDay = [$dayOfMonth];
        }
        $days = [];
        for ($day = $first; $day < $first + $length; $day++) {
            $n = $day - $first + 1;
            if (
                $byMonthDay !== [] &&
                ! in_array($n, $byMonthDay, true) &&
                ! in_array($n - $length - 1, $byMonthDay, true)
            ) {
                continue;
            }
            if ($this->byDay !== [] && ! $this->isNumberedDay(LocalDate::weekdayOf($day), $n, $length)) {
                continue;
            }
            $days[] = $day;
        }
        if ($this->bySetPos === []) {
            return $days;
        }
        $chosen = [];
        foreach ($this->bySetPos as $pos) {
            $i = $pos > 0 ? $pos - 1 : count($days) + $pos;
            if (isset($days[$i])) {
                $chosen[] = $days[$i];
            }
        }
        sort($chosen);

        return array_values(array_unique($chosen));
    }

    private function isNumberedDay(int $weekday, int $n, int $length): bool
    {
        foreach ($this->byDay as [$wanted, $ordinal]) {
            if (
                $wanted === $weekday &&
                ($ordinal === 0 ||
                    $ordinal === intdiv($n - 1, 7) + 1 ||
                    $ordinal === -(intdiv($length - $n, 7) + 1))
            ) {
                return true;
            }
        }

        return false;
    }

    private function monthAllows(int $day): bool
    {
        return $this->byMonth === [] || in_array(LocalDate::partsOf($day)[1], $this->byMonth, true);
    }

    private function monthDayAllows(int $day): bool
    {
        if ($this->byMonthDay === []) {
            return true;
        }
        [$y, $m, $d] = LocalDate::partsOf($day);
        $length = LocalDate::toDay($m === 12 ? $y + 1 : $y, ($m % 12) + 1, 1) - LocalDate::toDay($y, $m, 1);

        return in_array($d, $this->byMonthDay, true) || in_array($d - $length - 1, $this->byMonthDay, true);
    }

    private static function weekStart(string $code): int
    {
        return self::CODES[$code] ?? throw new Fault('rule.week_start', '', ['code' => $code]);
    }

    /** @return list<array{int, int}> */
    private static function byDay(?string $text, string $freq): array
    {
        if ($text === null) {
            return [];
        }
        $out = [];
        foreach (explode(',', $text) as $piece) {
            if (! preg_match('/^([+-]?\d{1,2})?(MO|TU|WE|TH|FR|SA|SU)$/D', $piece, $m)) {
                throw new Fault('rule.byday', '', ['piece' => $piece]);
            }
            $ordinal = (int) $m[1];
            if ($m[1] !== '' && ($freq !== 'MONTHLY' || $ordinal === 0 || abs($ordinal) > 5)) {
                throw new Fault('rule.nth', '', ['piece' => $piece]);
            }
            $out[] = [self::CODES[$m[2]], $ordinal];
        }

        return $out;
    }

    /** @return list<int> */
    private static function numbers(string $part, ?string $text, int $most): array
    {
        if ($text === null) {
            return [];
        }

        return array_map(function (string $piece) use ($part, $most): int {
            if (! preg_match('/^[+-]?\d{1,3}$/D', $piece) || (int) $piece === 0 || abs((int) $piece) > $most) {
                throw new Fault('rule.numbers', '', ['part' => $part, 'piece' => $piece, 'most' => $most]);
            }

            return (int) $piece;
        }, explode(',', $text));
    }

    private static function number(string $part, string $text, int $least, int $most): int
    {
        if (! preg_match('/^\d{1,5}$/D', $text) || (int) $text < $least || (int) $text > $most) {
            throw new Fault('rule.number', '', [
                'part' => $part,
                'text' => $text,
                'least' => $least,
                'most' => $most,
            ]);
        }

        return (int) $text;
    }

    /**
     * UNTIL as a date, or as an instant (which a session's start may not pass).
     *
     * @return array{LocalDate|null, int|null}
     */
    private static function until(?string $text, Zone $zone): array
    {
        if ($text === null) {
            return [null, null];
        }
        if (! preg_match('/^(\d{8})(?:T([01]\d|2[0-3])([0-5]\d)([0-5]\d)(Z?))?$/D', $text, $m)) {
            throw new Fault('rule.until', '', ['text' => $text]);
        }
        $date = LocalDate::parse($m[1]);
        if (! isset($m[2])) {
            return [$date, null];
        }
        $seconds = (int) $m[2] * 3600 + (int) ($m[3] ?? 0) * 60 + (int) ($m[4] ?? 0);
        $instant =
            ($m[5] ?? '') === 'Z'
                ? $date->day * 86400 + $seconds
                : $zone->instant($date->day, intdiv($seconds, 60)) + ($seconds % 60);

        return [$zone->dateAt($instant), $instant];
    }
}
