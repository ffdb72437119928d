<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\MakeLink;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Destinations;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Publishing\RunStep;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement as WantedPlacement;
use Nomada\Core\Publishing\WantedPlacements;

/**
 * Does one step, as the facts are at this moment and not as they were when the run began: a step whose placement stands
 * as it ought to by now has nothing to do.
 */
final class CarryOutStep
{
    /**
     * The last section's placements: a lane's steps are of one section, and its facts are read once.
     *
     * @var array<string, WantedPlacement>
     */
    private array $wanted = [];

    private int $of = 0;

    public function __construct(
        private readonly Destinations $destinations,
        private readonly SectionFactsQuery $facts,
        private readonly MakeLink $makeLink,
        private readonly RefreshPlacements $refresh,
    ) {
    }

    /** @throws DestinationFailure */
    public function __invoke(RunStep $step): void
    {
        if ($step->lane === 'link') {
            $series = Series::query()->with('section')->find((int) $step->key);
            if ($series !== null) {
                ($this->makeLink)($series, Run::query()->with('starter')->find($step->run_id)?->starter);
            }

            return;
        }
        $placement = Placement::query()->where('place', $step->lane)->where('key', $step->key)->first();
        if ($placement === null || $placement->wanted_print === $placement->standing_print) {
            return;
        }
        try {
            $this->bring($placement, Place::from($step->lane));
        } catch (DestinationFailure $e) {
            $placement->update(['trouble' => $e->getMessage()]);

            throw $e;
        }
    }

    /**
     * After the last waiting step of a lane, in the same transaction: links change what ought to stand, and for a
     * section of several series that is written down once.
     */
    public function endLane(RunStep $step): void
    {
        if ($step->lane !== 'link') {
            return;
        }
        // A lane may be queued twice: of two workers that end its last steps at one moment, the second sees what the
        // first has done.
        DB::select('select pg_advisory_xact_lock(hashtext(?))', ["links $step->run_id $step->section_id"]);
        if (
            ! RunStep::query()
                ->where([
                    'run_id' => $step->run_id,
                    'section_id' => $step->section_id,
                    'lane' => 'link',
                    'state' => 'waiting',
                ])
                ->exists()
        ) {
            $series = RunStep::query()
                ->where(['run_id' => $step->run_id, 'section_id' => $step->section_id, 'lane' => 'link'])
                ->pluck('key')
                ->map(intval(...));
            ($this->refresh)(
                array_values(
                    array_map(
                        intval(...),
                        DB::table('series_sections')
                            ->whereIn('series_id', $series)
                            ->distinct()
                            ->pluck('section_id')
                            ->all(),
                    ),
                ),
            );
        }
    }

    private function bring(Placement $placement, Place $place): void
    {
        $destination = $this->destinations->at($place);
        $wanted = $placement->wanted_print === null ? null : $this->wanted($placement);
        if ($wanted === null) {
            if ($placement->standing_print !== null) {
                $destination->remove($placement);
            }
            $placement->delete();

            return;
        }
        $receipt = $destination->put($wanted, $placement);
        $placement->update([
            'standing_print' => $wanted->fingerprint(),
            'standing' => $wanted->fields,
            'remote' => $receipt->remote,
            'etag' => $receipt->etag,
            'trouble' => null,
            'published_at' => now(),
        ]);
    }

    private function wanted(Placement $placement): ?WantedPlacement
    {
        $key = "{$placement->place->value} $placement->key";
        // What was kept may be older than the placement's fingerprint: the facts changed while the run went on.
        if (
            $this->of !== $placement->section_id ||
            ($this->wanted[$key] ?? null)?->fingerprint() !== $placement->wanted_print
        ) {
            $this->wanted = [];
            foreach ($this->facts->for([$placement->section_id]) as $facts) {
                foreach (WantedPlacements::of($facts) as $wanted) {
                    $this->wanted["{$wanted->place->value} $wanted->key"] = $wanted;
                }
            }
            $this->of = $placement->section_id;
        }

        return $this->wanted[$key] ?? null;
    }
}
