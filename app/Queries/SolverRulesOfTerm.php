<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Nomada\App\Models\Term\Term;
use Nomada\Core\Timetable\Solver\SolverRules;

/** The rules for the solver that a coordinator has set for a term; the opening hours and plain defaults before that. */
final class SolverRulesOfTerm
{
    public function of(Term $term): SolverRules
    {
        return $term->solver_rules === null
            ? new SolverRules($term->calendar()->hours)
            : SolverRules::from($term->solver_rules);
    }
}
