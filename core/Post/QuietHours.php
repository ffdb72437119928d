<?php

declare(strict_types=1);

namespace Nomada\Core\Post;

use Nomada\Core\Term\Zone;

/** Hours of the night in which nobody is written to, on each reader's own clock. */
final readonly class QuietHours
{
    /**
     * @param  int  $from  minutes since midnight; later than `until`, since a night goes over midnight
     * @param  int  $until  minutes since midnight
     */
    public function __construct(public int $from = 21 * 60, public int $until = 7 * 60)
    {
    }

    /** The first moment from `at` on (UTC seconds) at which somebody may be written to. */
    public function next(int $at, Zone $zone): int
    {
        [$day, $minute] = $zone->wall($at);
        if ($minute >= $this->from) {
            return $zone->instant($day + 1, $this->until);
        }

        return $minute < $this->until ? $zone->instant($day, $this->until) : $at;
    }
}
