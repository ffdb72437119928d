<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/** A day on which school is held by another day plan, and why: "Market day", Thursday 11 March, by the plan "Short". */
final readonly class ShortDay
{
    public function __construct(public LocalDate $date, public DayPlan $plan, public string $reason)
    {
        if (trim($reason) === '') {
            throw new Fault('short.reason', 'short_reason');
        }
    }
}
