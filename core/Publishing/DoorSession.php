<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

/** One session as the door would let somebody into it: start and end in UTC seconds, and the link that is theirs. */
final readonly class DoorSession
{
    /** @param  string  $link  '' where it is hidden outside the door's hours */
    public function __construct(public int $start, public int $end, public string $link)
    {
    }
}
