<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

/** One plan of a day's periods; without an id the one that is being added. */
final readonly class PlanRow
{
    /**
     * @param  string  $periods  as they are typed, one a line
     * @param  int  $count  how many periods it has
     * @param  bool  $isTyped  what is in the form is what was typed last, with its faults
     */
    public function __construct(
        public ?int $id,
        public string $name,
        public string $periods,
        public int $count,
        public bool $isUsual,
        public bool $isTyped,
    ) {
    }
}
