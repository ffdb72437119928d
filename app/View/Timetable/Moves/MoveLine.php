<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Moves;

use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Timetable\Reach;

/** One line of the page that moves several sessions in one step: what moves, and what was typed for it. */
final readonly class MoveLine
{
    /**
     * @param  string  $name  section, and series where it has another title
     * @param  string  $now  when it is held: `Tue 9 Feb 10:00–10:47`
     * @param  string  $day  as typed, or as it is; $start and $end likewise
     */
    public function __construct(
        public Session $session,
        public string $name,
        public string $now,
        public string $day,
        public string $start,
        public string $end,
        public Reach $reach,
    ) {
    }
}
