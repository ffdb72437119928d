<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

use Illuminate\Support\Collection;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Term\LocalDate;

/** A day's sessions as a departure board: when, what, who, and how the doors are at this moment. */
final readonly class TodayPage
{
    /**
     * @param  string  $place  whose clock it is
     * @param  string|null  $closed  why school is closed
     * @param  list<TodayRow>  $rows
     * @param  Collection<int, Section>  $mine  in which whoever looks can begin a session now
     */
    public function __construct(
        public LocalDate $date,
        public bool $isToday,
        public string $place,
        public ?string $closed,
        public array $rows,
        public Collection $mine,
    ) {
    }
}
