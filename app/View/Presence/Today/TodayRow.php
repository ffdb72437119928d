<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

/** One session of a day, as on a departure board. */
final readonly class TodayRow
{
    /**
     * @param  int  $others  sections that share it
     * @param  string  $sectionId  its section's sourcedId
     * @param  int|null  $inside  how many are inside; null where it is not running
     * @param  DoorState  $doors  how its doors are at this moment
     * @param  string  $said  from when they are open, or why it is not held
     * @param  bool  $isOver  it was held
     * @param  bool  $isLive  its live desk can be opened
     */
    public function __construct(
        public int $session,
        public string $time,
        public string $end,
        public string $name,
        public int $others,
        public string $sectionId,
        public string $teacher,
        public int $registered,
        public ?int $inside,
        public DoorState $doors,
        public string $said,
        public bool $isOver,
        public bool $isLive,
    ) {
    }
}
