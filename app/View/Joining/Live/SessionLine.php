<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining\Live;

use Nomada\Core\Term\Zone;

/** A session as a line: doors, start, recording, now, end. Positions are of a drawing 1240 wide. */
final readonly class SessionLine
{
    private const WIDTH = 1240;

    private const EDGE = 10;

    /** @param  list<array{string, int, string}>  $stops  what (doors, starts, recorded, ends), position, time */
    private function __construct(
        public array $stops,
        public int $now,
        public int $nowAt,
        public string $nowTime,
        public int $left,
    ) {
    }

    /** @param  int  $doors  UTC seconds, as the others are */
    public static function of(Zone $zone, int $doors, int $start, int $end, ?int $recorded, int $now): self
    {
        $last = $end + 300;
        $at = fn (int $s): int => self::EDGE +
            (int) round(
                ((self::WIDTH - 2 * self::EDGE) * (max($doors, min($last, $s)) - $doors)) / max(1, $last - $doors),
            );
        $stops = [];
        foreach (['doors' => $doors, 'starts' => $start, 'recorded' => $recorded, 'ends' => $end] as $what => $s) {
            if ($s !== null) {
                $stops[] = [$what, $at($s), $zone->clock($s)];
            }
        }

        return new self($stops, $now, $at($now), $zone->clock($now), $now < $start ? 0 : intdiv($end - $now, 60));
    }
}
