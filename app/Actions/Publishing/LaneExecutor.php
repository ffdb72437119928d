<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use LogicException;
use Nomada\App\Actions\Joining\MakeLink;
use Nomada\App\Destinations\ConcurrentRequests;
use Nomada\App\Destinations\Destination;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Destinations;
use Nomada\App\Destinations\Drifted;
use Nomada\App\Destinations\Receipt;
use Nomada\App\Destinations\Room;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Publishing\RunStep;
use Nomada\App\Models\Publishing\StepState;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\SealedWords;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement as WantedPlacement;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\WantedPlacements;
use Throwable;

/**
 * Does steps of one lane, as the facts are at this moment and not as they were when the run began: a step whose
 * item is already as it should be has nothing to do. While one waits for the destination, the others go on.
 */
final class LaneExecutor
{
    /** Requests of a lane that wait for their answers at once. */
    private const SIDE_BY_SIDE = 10;

    /**
     * What should be at a lane's place, of the sections that it goes over: their facts are read once.
     *
     * @var array<string, WantedPlacement>
     */
    private array $wanted = [];

    /** @var array<int, SectionFacts> what it was worked out from, by section */
    private array $of = [];

    /** @var array<int, true> the sections of which something has been carried out here */
    private array $begun = [];

    public function __construct(
        private readonly Destinations $destinations,
        private readonly SectionFactsQuery $facts,
        private readonly MakeLink $makeLink,
        private readonly RefreshPlacements $refresh,
        private readonly Drifts $drifts,
        private readonly ToldSections $told,
    ) {
    }

    /**
     * @param  Collection<int, RunStep>  $steps  of one lane
     * @param  list<int>  $sections  over which the lane goes, now and with the next steps
     * @return array<int, DestinationFailure> by step; those that are not in it are done
     */
    public function __invoke(Collection $steps, string $lane, array $sections): array
    {
        return $lane === 'link' ? $this->links($steps) : $this->placements($steps, Place::from($lane), $sections);
    }

    /**
     * Rooms are asked for side by side, and the links written down together.
     *
     * @param  Collection<int, RunStep>  $steps
     * @return array<int, DestinationFailure>
     */
    private function links(Collection $steps): array
    {
        $series = Series::query()
            ->with('section')
            ->whereKey($steps->map(fn (RunStep $s): int => (int) $s->key)->all())
            ->orderBy('id')
            ->get();
        $tasks = [];
        foreach ($series as $one) {
            $tasks[$one->id] = fn (): Room => $this->makeLink->room($one);
        }
        $made = $failures = [];
        foreach (ConcurrentRequests::run($tasks, self::SIDE_BY_SIDE) as $id => $came) {
            $one = $series->find($id) ?? throw new LogicException('A room of no series');
            if ($came instanceof DestinationFailure) {
                $failures[(int) $steps->firstWhere('key', (string) $id)?->id] = $came;
            } elseif ($came instanceof Throwable) {
                throw $came;
            } else {
                $made[] = [$one, $came];
            }
        }
        $this->makeLink->keep($made, Run::query()->with('starter')->find($steps->first()?->run_id)?->starter);

        return $failures;
    }

    /**
     * @param  Collection<int, RunStep>  $steps
     * @param  list<int>  $sections
     * @return array<int, DestinationFailure>
     */
    private function placements(Collection $steps, Place $place, array $sections): array
    {
        $placements = Placement::query()
            ->where('place', $place)
            ->whereIn('key', $steps->pluck('key'))
            ->whereRaw(Placement::DIFFERS)
            ->get()
            ->keyBy(fn (Placement $p): string => $p->key);
        $destination = $this->destinations->at($place);
        $wanted = $this->wanted($placements, $place, $sections);
        $tasks = [];
        foreach ($placements as $key => $placement) {
            $tasks[$key] = fn (): ?Receipt => $this->bring($destination, $placement, $wanted[$key]);
        }
        $done = $removed = $failures = [];
        foreach (ConcurrentRequests::run($tasks, self::SIDE_BY_SIDE) as $key => $came) {
            $placement = $placements[$key] ?? throw new LogicException('A task of no placement');
            if ($came instanceof DestinationFailure) {
                $failures[] = [$placement, $came];
            } elseif ($came instanceof Throwable) {
                throw $came;
            } elseif ($came === null || $wanted[$key] === null) {
                $removed[] = $placement->id;
            } else {
                $done[] = [
                    'id' => $placement->id,
                    'published_hash' => $wanted[$key]->fingerprint(),
                    'standing' => SealedWords::seal($wanted[$key]->fields),
                    'remote' => $came->remote,
                    'etag' => $came->etag,
                    'schedule_tag' => $came->scheduleTag,
                ];
            }
        }
        $this->note($done, $removed);
        $out = [];
        foreach ($failures as [$placement, $why]) {
            $placement->update(['trouble' => $why->getMessage()]);
            if ($why instanceof Drifted) {
                $this->drifts->note($placement, $destination->words($why->theirs), $why->theirs->etag);
            }
            $out[(int) $steps->firstWhere('key', $placement->key)?->id] = $why;
        }

        return $out;
    }

    /**
     * Writes down what has been done, in one statement for all.
     *
     * @param  list<array{id: int, published_hash: string, standing: string, remote: string, etag: string,
     *   schedule_tag: string|null}>  $done
     * @param  list<int>  $removed
     */
    private function note(array $done, array $removed): void
    {
        if ($done !== []) {
            DB::statement(
                'update published_items p set published_hash = t.published_hash, standing = t.standing,
                    remote = t.remote, etag = t.etag, schedule_tag = t.schedule_tag, trouble = null, published_at =
                        ?::timestamptz,
                    updated_at = ?::timestamptz
                from json_to_recordset(?::json) as t(id bigint, published_hash text, standing text, remote text,
                    etag text, schedule_tag text)
                where p.id = t.id',
                [now(), now(), json_encode($done, JSON_THROW_ON_ERROR)],
            );
            DB::table('outside_changes')->whereIntegerInRaw('placement_id', array_column($done, 'id'))->delete();
        }
        if ($removed !== []) {
            Placement::query()->whereIntegerInRaw('id', $removed)->delete();
        }
    }

    /**
     * After steps of a lane, in the same transaction: links change what should be, and that is written down once
     * for every section whose last link it was, for all of them together.
     *
     * @param  Collection<int, RunStep>  $steps
     */
    public function endLane(Collection $steps): void
    {
        $run = $steps->first()?->run_id;
        $sections = $steps->where('lane', 'link')->pluck('section_id')->unique()->sort()->values();
        if ($run === null || $sections->isEmpty()) {
            return;
        }
        // A lane may be queued twice: of two workers that end its last steps at one moment, the second sees what the
        // first has done.
        foreach ($sections as $section) {
            DB::select('select pg_advisory_xact_lock(hashtext(?))', ["links $run $section"]);
        }
        $of = fn () => RunStep::query()
            ->where('run_id', $run)
            ->where('lane', 'link')
            ->whereIn('section_id', $sections);
        $ended = $sections->diff($of()->where('state', StepState::Waiting)->distinct()->pluck('section_id'));
        // Not `intval(...)`: a collection hands over the place too, which that takes for the base of the number.
        $series = $of()->whereIn('section_id', $ended)->pluck('key')->map(fn (string $key): int => (int) $key);
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

    /** What is there now; null where nothing is there any more. */
    private function bring(Destination $destination, Placement $placement, ?WantedPlacement $wanted): ?Receipt
    {
        if ($wanted !== null) {
            return $destination->put($wanted, $placement);
        }
        if ($placement->published_hash !== null) {
            $destination->remove($placement);
        }

        return null;
    }

    /**
     * What should be for placements of a lane. What was kept may be older than a fingerprint, since the facts
     * changed while the run went on: then they are read again, once.
     *
     * @param  Collection<string, Placement>  $placements  by key
     * @param  list<int>  $sections
     * @return array<string, WantedPlacement|null> by key
     */
    private function wanted(Collection $placements, Place $place, array $sections): array
    {
        $of = array_values(array_unique($placements->map(fn (Placement $p): int => $p->section_id)->all()));
        $isKept = fn (Placement $p): bool => isset($this->of[$p->section_id]) &&
            ($p->desired_hash === null || ($this->wanted[$p->key] ?? null)?->fingerprint() === $p->desired_hash);
        if (! $placements->every($isKept)) {
            // A placement may have gone over to another section since the run began.
            $all = array_values(array_unique([...$sections, ...$of]));
            // Who has what in their calendar costs most of it, and concerns only that lane.
            $this->of = $this->facts->for($all, withReaders: $place === Place::Calendar);
            $this->wanted = [];
            foreach ($this->of as $facts) {
                foreach (WantedPlacements::at($place, $facts) as $wanted) {
                    $this->wanted[$wanted->key] = $wanted;
                }
            }
        }
        $new = array_diff_key(array_intersect_key($this->of, array_flip($of)), $this->begun);
        if ($new !== []) {
            $this->told->first($new);
            $this->begun += array_map(fn (): bool => true, $new);
        }
        $out = [];
        foreach ($placements as $key => $placement) {
            $out[$key] = $placement->desired_hash === null ? null : $this->wanted[$key] ?? null;
        }

        return $out;
    }
}
