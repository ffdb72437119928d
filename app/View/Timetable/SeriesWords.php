<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Say;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Patterns;
use stdClass;

/** A series in words, from the columns of its table. Few patterns are many series' own, so each is read once. */
final class SeriesWords
{
    /** What of a series is asked for to say it. */
    public const COLUMNS = [
        'pattern',
        'series.starts_on',
        'ends',
        'period',
        'earlier',
        'start_minute',
        'minutes',
        'series.time_zone',
    ];

    /** @var array<string, string> by language and pattern */
    private static array $known = [];

    /**
     * Of a row of the table: most series have one plan; of several the one that holds today, and from when it changes.
     *
     * @param  stdClass  $row  with the columns above
     * @param  int  $today  day number
     */
    public static function row(stdClass $row, int $today, Zone $school): string
    {
        return $row->earlier !== '[]'
            ? Say::this((new Series())->newFromBuilder((array) $row)->stretches()->said($today))
            : self::of($row->pattern, $row->start_minute, $row->minutes, $row->time_zone, $school, $row->period);
    }

    /**
     * "Tue Thu 11:15–12:00"; where the series follows another clock than the school's, its place is named: "Mon
     * 10:00–10:45 Casablanca".
     */
    private static function of(
        string $pattern,
        int $startMinute,
        int $minutes,
        string $zone,
        Zone $school,
        ?string $period = null,
    ): string {
        $key = app()->getLocale()." $pattern";
        self::$known[$key] ??= Say::this(Patterns::from((array) json_decode($pattern, true))->said());

        return self::$known[$key].
            ' '.
            TypedTime::format($startMinute).
            '–'.
            TypedTime::format($startMinute + $minutes).
            ($period === null ? '' : " (period $period)").
            ($zone === $school->name ? '' : ' '.Say::place(Zone::named($zone)));
    }
}
