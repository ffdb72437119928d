<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

/** One thing that a bridge, or a list of another service, tells of one person: that they came in, or left. */
final readonly class PresenceEvent
{
    /**
     * @param  int  $at  UTC seconds
     * @param  bool  $isJoin  false where they left
     * @param  string  $device  '' where nobody knows which
     */
    public function __construct(public int $at, public bool $isJoin, public string $device = '')
    {
    }
}
