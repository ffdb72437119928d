<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Timetable\PlannedSession;

/** Everything that the door is asked with: the link, the sessions behind it, who knocks, and what the room is like. */
final readonly class Knock
{
    /**
     * @param  int|null  $holder  the person whom a personal link belongs to
     * @param  list<PlannedSession>  $sessions  of the series, ascending, lost and cancelled ones too
     * @param  int|null  $expires  UTC seconds after which a guest pass is worth nothing
     * @param  int|null  $only  the day of the one session that a guest pass is for
     * @param  array{int, int}|null  $openHours  of a drop-in room: UTC start and end of the hours that hold now or
     *   come next; null where none is left
     */
    public function __construct(
        public LinkKind $kind,
        public array $sessions,
        public Visitor $visitor,
        public ?int $holder = null,
        public bool $isRetired = false,
        public bool $isHidden = false,
        public ?int $expires = null,
        public ?int $only = null,
        public RoomState $room = new RoomState(),
        public ?array $openHours = null,
    ) {
    }
}
