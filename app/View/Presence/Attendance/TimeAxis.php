<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\Core\Presence\OccupancyCurve;
use Nomada\Core\Term\Zone;

/** Where a moment lies in the drawing of one session: names to the left of it, minutes and status to the right. */
final readonly class TimeAxis
{
    public const LEFT = 170;

    public const RIGHT = 640;

    /** Where the first student's line begins; the curve is above it. */
    public const TOP = 128;

    private const CURVE_FOOT = 84;

    private const CURVE_HEIGHT = 54;

    private int $from;

    private int $to;

    /**
     * @param  int  $start  UTC seconds; $end likewise
     * @param  int  $lead  seconds before the start that are drawn
     */
    public function __construct(int $start, int $end, int $lead)
    {
        $this->from = $start - $lead;
        $this->to = $end + 60;
    }

    public function x(int $at): int
    {
        $within = max($this->from, min($this->to, $at));

        return self::LEFT +
            (int) round(((self::RIGHT - self::LEFT) * ($within - $this->from)) / max(1, $this->to - $this->from));
    }

    /**
     * @param  list<array{int, int}>  $intervals  UTC seconds
     * @return list<array{int, int}> positions
     */
    public function drawn(array $intervals): array
    {
        return array_map(fn (array $i): array => [$this->x($i[0]), $this->x($i[1])], $intervals);
    }

    /** @return list<array{int, string}> every five minutes, or ten, or thirty, so that they can be read */
    public function ticks(Zone $zone): array
    {
        $step = 300;
        foreach ([300, 600, 1800, 3600] as $one) {
            $step = $one;
            if (($this->to - $this->from) / $one <= 13) {
                break;
            }
        }
        $out = [];
        for ($at = intdiv($this->from + $step - 1, $step) * $step; $at <= $this->to; $at += $step) {
            $out[] = [$this->x($at), $zone->clock($at)];
        }

        return $out;
    }

    /** @return list<array{int, int}> points of a line of steps, from foot to foot */
    public function curve(OccupancyCurve $curve): array
    {
        $y = fn (int $n): int => self::CURVE_FOOT - (int) round((self::CURVE_HEIGHT * $n) / max(1, $curve->most));
        $out = [];
        $before = 0;
        foreach ($curve->steps as [$at, $n]) {
            $out[] = [$this->x($at), $y($before)];
            $out[] = [$this->x($at), $y($n)];
            $before = $n;
        }

        return $out;
    }
}
