<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Clashes;

/** A free time to which one of two series could move, and where that is previewed. */
final readonly class WayOut
{
    /**
     * @param  string  $series  its name
     * @param  string  $time  `Thu 12:15–13:00`
     * @param  string  $url  of the preview, from which it is one press
     */
    public function __construct(public string $series, public string $time, public string $url)
    {
    }
}
