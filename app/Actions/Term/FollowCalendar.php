<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\App\Support\CurrentTerm;
use Nomada\App\Support\Words;

/**
 * After a change of the school calendar (closed, opened and short days, day plans, rotation) every series of the term
 * is laid anew; those whose sessions changed count up, and their sections' clashes and placements follow. What has
 * begun stays.
 *
 * @phpstan-type Effect array{series: int, stay: int, move: int, come: int, go: int, lost: int, fallen: int}
 */
final readonly class FollowCalendar
{
    public function __construct(
        private Clock $clock,
        private CurrentTerm $current,
        private LaySessions $lay,
        private RefreshClashes $clashes,
        private RefreshPlacements $refresh,
    ) {
    }

    /** @return Effect */
    public function __invoke(Term $term): array
    {
        $this->current->forget();
        $fresh = Term::query()
            ->with(['school', 'closures'])
            ->findOrFail($term->id);
        $calendar = $fresh->calendar();
        $touched = [];
        $sum = ['series' => 0, 'stay' => 0, 'move' => 0, 'come' => 0, 'go' => 0, 'lost' => 0, 'fallen' => 0];
        $ofTerm = fn ($q) => $q->where('term_id', $fresh->id);
        foreach (Series::query()->whereHas('section', $ofTerm)->orderBy('id')->get() as $series) {
            $period = $series->period === null ? null : $calendar->plan?->period($series->period);
            if ($period !== null) {
                // Its usual time is the usual plan's.
                $series->fill(['start_minute' => $period->start, 'minutes' => $period->minutes()]);
            }
            $effect = ($this->lay)($series, $calendar);
            $changes =
                $effect->effect['move'] +
                $effect->effect['come'] +
                $effect->effect['go'] +
                $effect->effect['lost'] +
                count($effect->fallen);
            if ($changes > 0 || $series->isDirty()) {
                $series->fill(['sequence' => $series->sequence + 1, 'changed_at' => $this->clock->now()])->save();
                $touched = [...$touched, ...$series->sectionIds()];
                $sum['series']++;
            }
            foreach (['stay', 'move', 'come', 'go', 'lost'] as $what) {
                $sum[$what] += $effect->effect[$what];
            }
            $sum['fallen'] += count($effect->fallen);
        }
        ($this->clashes)($fresh);
        ($this->refresh)(array_values(array_unique($touched)));

        return $sum;
    }

    /**
     * What a change would do: it is done, looked at, and taken back.
     *
     * @param  callable(): Effect  $change
     * @return Effect
     */
    public function look(callable $change): array
    {
        DB::beginTransaction();
        try {
            return $change();
        } finally {
            DB::rollBack();
            $this->current->forget();
        }
    }

    /** @param  Effect  $effect */
    public static function words(array $effect): string
    {
        $parts = array_filter([
            $effect['move'] > 0
                ? Words::count($effect['move'], 'session').' move'.($effect['move'] === 1 ? 's' : '')
                : '',
            $effect['come'] > 0 ? $effect['come'].' new' : '',
            $effect['go'] > 0 ? $effect['go'].' fall away' : '',
            $effect['lost'] > 0 ? $effect['lost'].' lost' : '',
            $effect['fallen'] > 0
                ? Words::count($effect['fallen'], 'change').' of single sessions fall away'
                : '',
        ]);

        return $parts === [] ? 'no session changes' : implode(', ', $parts).' ('.$effect['series'].' series)';
    }
}
