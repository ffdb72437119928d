<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Nomada\App\Models\Term\Section;
use Nomada\App\View\Timetable\Panel\FreeLine;
use Nomada\Core\Term\LocalDate;

/** One lost or cancelled session, and when it could be made up. */
final readonly class MakeUpRow
{
    /** @param  list<FreeLine>  $free  the best first */
    public function __construct(
        public int $session,
        public Section $section,
        public string $series,
        public LocalDate $day,
        public string $reason,
        public array $free,
    ) {
    }

    /** The best time is chosen where it costs nobody anything; otherwise somebody has to choose. */
    public function hasGood(): bool
    {
        return $this->free !== [] && $this->free[0]->isGood;
    }
}
