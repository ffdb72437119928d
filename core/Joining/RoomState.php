<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

/** What the bridge says of a room at a moment, as far as the door needs it. */
final readonly class RoomState
{
    /**
     * @param  bool  $isOver  ended for all in this session
     * @param  int  $inside  everybody inside, hosts too: a hosting plan's seats are for all
     * @param  int|null  $seats  null where there is no limit
     * @param  bool  $isInside  the visitor is inside already, on another device
     * @param  int|null  $recordingSince  UTC seconds; null where nothing is recorded
     * @param  bool  $isSentOut  the visitor was sent out of this session
     */
    public function __construct(
        public bool $hostInside = false,
        public bool $isOver = false,
        public int $inside = 0,
        public ?int $seats = null,
        public bool $isInside = false,
        public bool $isSentOut = false,
        public ?int $recordingSince = null,
    ) {
    }
}
