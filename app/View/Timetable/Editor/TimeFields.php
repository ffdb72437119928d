<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Editor;

/** When in the day a series meets, as the form shows it. */
final readonly class TimeFields
{
    /**
     * @param  string  $sureStart  the answer that says which hour was meant, where one could mean two; $sureEnd
     *   likewise
     * @param  string  $at  period or clock
     * @param  array<string, string>  $periods  words by name; none where there is no plan of periods
     * @param  string  $zone  the place of its clock
     */
    public function __construct(
        public string $sureStart,
        public string $sureEnd,
        public string $at,
        public array $periods,
        public string $period,
        public string $start,
        public string $end,
        public string $zone,
    ) {
    }
}
