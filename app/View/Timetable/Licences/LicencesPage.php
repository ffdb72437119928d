<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Licences;

use Nomada\App\Queries\Licences\Load;

/** The hosting plans and host accounts of a school, and what they bear. */
final readonly class LicencesPage
{
    /**
     * @param  list<PlanForm>  $plans
     * @param  int  $sessions  of the term
     * @param  Load|null  $load  null while it is being worked out
     */
    public function __construct(
        public array $plans,
        public PlanForm $newPlan,
        public int $sessions,
        public ?Load $load,
    ) {
    }
}
