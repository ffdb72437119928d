<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

/**
 * Why no session is held, where nobody has written it: a code that is kept in the place of the words that people write
 * (why a day is closed, why a session is cancelled), and is read in each reader's own language
 * ({@see \Nomada\Core\Language\Said::because()}).
 */
final class Because
{
    public const WEEKEND = '=weekend';

    public const OUTSIDE = '=outside';

    /** It would be at the time of another session of its series. */
    public const OVERLAPS = '=overlaps';

    /** The calendar has taken its date out of the pattern. */
    public const NO_DATE = '=no_date';

    /** The day has no day plan. */
    public const NO_PLAN = '=no_plan';

    /** It is not in the calendar that the series was read from. */
    public const NOT_READ = '=not_read';

    /** All that are not of a period; whatever else people write stands as they wrote it. */
    public const CODES = [
        self::WEEKEND,
        self::OUTSIDE,
        self::OVERLAPS,
        self::NO_DATE,
        self::NO_PLAN,
        self::NOT_READ,
    ];

    /** The day's plan lacks the period. */
    public static function noPeriod(string $period, string $plan): string
    {
        return "=no_period|$period|$plan";
    }
}
