<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

/** What rotates, and the form in which that is changed. */
final readonly class RotationCard
{
    /**
     * @param  list<string>  $labels  none where nothing rotates
     * @param  string  $kind  none, day or week, as chosen in the form
     * @param  array<string, string>  $pins  labels by ISO day
     */
    public function __construct(
        public array $labels,
        public bool $byWeek,
        public string $kind,
        public string $n,
        public bool $isLettered,
        public array $pins,
    ) {
    }
}
