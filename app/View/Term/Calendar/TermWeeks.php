<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

/** The weeks of a term, drawn. */
final readonly class TermWeeks
{
    /**
     * @param  int  $width  how many days of a week are shown, 5 to 7
     * @param  list<WeekRow>  $weeks
     */
    public function __construct(
        public int $width,
        public array $weeks,
    ) {
    }
}
