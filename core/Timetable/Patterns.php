<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** Reads patterns from plain arrays, as they are stored and as the series editor sends them. */
final class Patterns
{
    /** Kinds whose dates are counted over open days, so that any change of the school calendar can move them all. */
    public const OVER_OPEN_DAYS = ['open-days', 'rotation'];

    /**
     * @param  array<string, mixed>  $plain
     *
     * @throws Fault
     */
    public static function from(array $plain): Pattern
    {
        return match ($plain['kind'] ?? null) {
            'weekly' => new WeeklyPattern(
                array_map(intval(...), (array) ($plain['weekdays'] ?? [])),
                (int) ($plain['every'] ?? 1),
            ),
            'open-days' => new OpenDaysPattern(),
            'dates' => new DatesPattern(
                array_map(
                    fn (mixed $iso): int => LocalDate::parse((string) $iso)->day,
                    (array) ($plain['dates'] ?? []),
                ),
            ),
            'rotation' => new RotationPattern(
                (bool) ($plain['by_week'] ?? false),
                array_map(strval(...), (array) ($plain['labels'] ?? [])),
                array_map(intval(...), (array) ($plain['weekdays'] ?? [])),
            ),
            'rule' => self::fromRule(
                RecurrenceRule::parse((string) ($plain['rule'] ?? ''), Zone::named('UTC')),
                LocalDate::parse((string) ($plain['anchor'] ?? '')),
            ),
            default => throw new Fault('pattern.kind', 'kind'),
        };
    }

    /** Every k-th day of the calendar, counted from the first. */
    public static function everyDays(int $k, LocalDate $first): Pattern
    {
        if ($k < 1 || $k > 60) {
            throw new Fault('pattern.every_days', 'every_days');
        }

        return self::fromRule(RecurrenceRule::parse("FREQ=DAILY;INTERVAL=$k", Zone::named('UTC')), $first);
    }

    /** The n-th weekday of every month, or the last (-1). */
    public static function monthWeekday(int $n, int $weekday, LocalDate $first): Pattern
    {
        $code =
            [1 => 'MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'][$weekday] ??
            throw new Fault('pattern.month_weekday', 'month_weekday');
        if (! in_array($n, [1, 2, 3, 4, 5, -1], true)) {
            throw new Fault('pattern.month_nth', 'month_nth');
        }

        return self::fromRule(RecurrenceRule::parse("FREQ=MONTHLY;BYDAY=$n$code", Zone::named('UTC')), $first);
    }

    /** A day of every month; months without it have no session. */
    public static function monthDay(int $day, LocalDate $first): Pattern
    {
        if ($day < 1 || $day > 31) {
            throw new Fault('pattern.month_day', 'month_day');
        }

        return self::fromRule(RecurrenceRule::parse("FREQ=MONTHLY;BYMONTHDAY=$day", Zone::named('UTC')), $first);
    }

    public static function fromRule(RecurrenceRule $rule, LocalDate $start): Pattern
    {
        return $rule->anchored($start)->asWeekly() ?? new RulePattern($rule, $start);
    }
}
