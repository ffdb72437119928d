<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Carbon;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;

/**
 * After a series' sessions have changed: its sequence counts up, clashes are searched again, and what should be at
 * the destinations is written down, for every section that meets in it.
 */
final readonly class FollowSeries
{
    public function __construct(
        private Clock $clock,
        private RefreshClashes $clashes,
        private RefreshPlacements $refresh,
    ) {
    }

    /** @param  list<int>  $besides  sections that have just left the series */
    public function __invoke(Series $series, bool $countUp = true, array $besides = []): void
    {
        if ($countUp) {
            $this->countUp($series);
        }
        $sections = [...$series->sectionIds(), ...$besides];
        ($this->clashes)($series->section->term, $sections);
        ($this->refresh)($sections);
    }

    /**
     * The same for several series of a term at once.
     *
     * @param  iterable<Series>  $all
     */
    public function several(Term $term, iterable $all): void
    {
        $sections = [];
        foreach ($all as $series) {
            $this->countUp($series);
            array_push($sections, ...$series->sectionIds());
        }
        $sections = array_values(array_unique($sections));
        ($this->clashes)($term, $sections);
        ($this->refresh)($sections);
    }

    private function countUp(Series $series): void
    {
        $series->update([
            'sequence' => $series->sequence + 1,
            'changed_at' => Carbon::createFromTimestamp($this->clock->seconds()),
        ]);
    }
}
