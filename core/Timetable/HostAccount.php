<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Fault;

/**
 * An account at the conference bridge, and what its hosting plan allows: seats and minutes of a session, and how many
 * sessions at once.
 */
final readonly class HostAccount
{
    public function __construct(
        public int $id,
        public string $name,
        public int $seats,
        public int $minutes,
        public int $atOnce = 1,
        public string $plan = '',
    ) {
        if ($seats < 1 || $minutes < 1 || $atOnce < 1) {
            throw new Fault('licence.plan', 'seats');
        }
    }

    public function holds(HostedSeries $series): bool
    {
        return $series->people <= $this->seats && $series->longest <= $this->minutes;
    }
}
