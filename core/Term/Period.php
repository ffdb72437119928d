<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/** A named stretch of a day plan: "3", 10:00 to 10:45. Minutes from midnight, the end not in it. */
final readonly class Period
{
    public function __construct(public string $name, public int $start, public int $end)
    {
        if (trim($name) === '' || mb_strlen($name) > 40) {
            throw new Fault('plan.period_name', 'periods');
        }
        if ($start < 0 || $end > 1440 || $end <= $start) {
            throw new Fault('plan.period_backwards', 'periods', ['name' => $name]);
        }
    }

    public function minutes(): int
    {
        return $this->end - $this->start;
    }
}
