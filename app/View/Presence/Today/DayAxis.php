<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

use Nomada\Core\Term\Zone;

/** The hours of one day from left to right. Positions are percent of the width, so that it fits every screen. */
final readonly class DayAxis
{
    private const HOUR = 3600;

    /** At most so many hours are labelled; on longer days every second or third. */
    private const LABELS = 8;

    private function __construct(private int $from, private int $to)
    {
    }

    /**
     * @param  list<array{int, int}>  $spans  UTC seconds: from the opening of each session to its end
     */
    public static function over(array $spans): self
    {
        $from = $spans === [] ? 0 : min(array_column($spans, 0));
        $to = $spans === [] ? self::HOUR : max(array_column($spans, 1));

        return new self($from - ($from % self::HOUR), $to + ((self::HOUR - ($to % self::HOUR)) % self::HOUR));
    }

    /** Percent of the width, to a tenth; at the edge for what lies outside. */
    public function x(int $at): float
    {
        $within = max($this->from, min($this->to, $at));

        return round((100 * ($within - $this->from)) / max(1, $this->to - $this->from), 1);
    }

    public function holds(int $at): bool
    {
        return $at >= $this->from && $at <= $this->to;
    }

    /** @return list<array{x: float, time: string}> */
    public function hours(Zone $zone): array
    {
        $step = self::HOUR * (int) ceil(($this->to - $this->from) / self::HOUR / self::LABELS);
        $out = [];
        for ($at = $this->from; $at < $this->to; $at += $step) {
            $out[] = ['x' => $this->x($at), 'time' => $zone->clock($at)];
        }

        return $out;
    }
}
