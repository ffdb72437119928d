<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

/** The usual day of a term and its exceptions. */
final readonly class TermDays
{
    /**
     * @param  list<PlanRow>  $plans
     * @param  list<ShortRow>  $shortDays
     * @param  array<int, string>  $opened  weekend days that are open, by id
     * @param  string  $opens  the hours in which school is open, as typed; $shuts likewise
     */
    public function __construct(
        public array $plans,
        public PlanRow $newPlan,
        public array $shortDays,
        public RotationCard $rotation,
        public array $opened,
        public string $opens,
        public string $shuts,
    ) {
    }
}
