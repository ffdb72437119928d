<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

use Nomada\App\View\Term\CalendarHistory;
use Nomada\App\View\Term\ClosingLook;
use Nomada\Core\Term\Term;

/**
 * The term as weeks: which days are open, which closed and why, how many sessions each has, and when the clocks change.
 */
final readonly class TermPage
{
    /**
     * @param  list<TermRow>  $terms  all of the school's
     * @param  int  $width  how many days of a week are shown, 5 to 7
     * @param  list<WeekRow>  $weeks
     * @param  ClosingLook|null  $closing  what closing days would take, before it is saved
     * @param  list<ClosedRow>  $closed
     * @param  int  $toMakeUp  lost and cancelled sessions that nothing makes up
     * @param  list<PlanRow>  $plans
     * @param  list<ShortRow>  $shortDays
     * @param  array<int, string>  $opened  weekend days that are open, by id
     * @param  string  $opens  the hours in which school is open, as typed; $shuts likewise
     */
    public function __construct(
        public int $id,
        public string $title,
        public Term $calendar,
        public int $openDays,
        public array $terms,
        public bool $mayChange,
        public int $width,
        public array $weeks,
        public ?ClosingLook $closing,
        public array $closed,
        public int $toMakeUp,
        public CalendarHistory $history,
        public array $plans,
        public PlanRow $newPlan,
        public array $shortDays,
        public RotationCard $rotation,
        public array $opened,
        public string $opens,
        public string $shuts,
    ) {
    }

    /** @return list<TermRow> */
    public function others(): array
    {
        return array_values(array_filter($this->terms, fn (TermRow $t): bool => $t->id !== $this->id));
    }
}
