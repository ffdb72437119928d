<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

/** One session of a day, as on a departure board. */
final readonly class TodayRow
{
    /**
     * @param  bool  $isOver  it was held
     * @param  bool  $isLive  its live desk can be opened
     * @param  bool  $mayJoin  it is open, and the viewer teaches it
     */
    public function __construct(
        public int $session,
        public int $series,
        public string $time,
        public string $end,
        public SessionName $of,
        public DayTrack $track,
        public DoorNow $now,
        public bool $isOver,
        public bool $isLive,
        public bool $mayJoin,
    ) {
    }
}
