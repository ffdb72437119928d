<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Registration\TakeReplies;
use Nomada\App\Destinations\ConcurrentRequests;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Destinations\Destinations;
use Nomada\App\Destinations\Found;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Publishing\ItemName;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement as WantedPlacement;
use Nomada\Core\Publishing\WantedPlacements;
use Throwable;

/**
 * What somebody else has changed or deleted at the destinations, found by reading them back: theirs is kept (and then
 * left alone and named), or ours is put back. A space (a page, a stream, somebody's calendar) is read at once; where
 * the version is the one that we left, nothing else is asked.
 */
final class Drifts
{
    /** @var array<int, array<string, WantedPlacement>> by section, then by place and key; of the look that goes on */
    private array $wanted = [];

    public function __construct(
        private readonly Destinations $destinations,
        private readonly Places $places,
        private readonly SectionFactsQuery $facts,
        private readonly StartRun $start,
        private readonly TakeReplies $replies,
        private readonly OthersThere $others,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    /**
     * Looks for drift of sections.
     *
     * @param  list<int>  $sections
     * @param  list<Place>  $places
     * @return array{looked: int, found: int, silent: array<string, string>} placements; silent: what a destination
     *   said instead of answering, by space
     */
    public function look(array $sections, array $places): array
    {
        $looked = $found = 0;
        $silent = [];
        foreach (array_chunk($sections, 20) as $some) {
            $this->wanted = [];
            foreach ($this->readable($places) as $place) {
                $standing = Placement::query()
                    ->whereIntegerInRaw('section_id', $some)
                    ->where('place', $place)
                    ->where('left_alone', false)
                    ->whereNotNull('published_hash')
                    ->orderBy('id')
                    ->get();
                $looked += $standing->count();
                [$n, $without] = $this->compare($place, $standing);
                $found += $n;
                $silent += $without;
            }
        }
        DB::table('check_results')->upsert(
            [
                'what' => 'drift',
                'at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
                'result' => json_encode(['looked' => $looked, 'found' => $found, 'silent' => count($silent)]),
            ],
            ['what'],
        );

        return ['looked' => $looked, 'found' => $found, 'silent' => $silent];
    }

    /**
     * Without pages and feeds of ours: there nothing can drift.
     *
     * @param  list<Place>  $places
     * @return list<Place>
     */
    private function readable(array $places): array
    {
        $ours = $this->places->ofOurs();

        return array_values(array_filter($places, fn (Place $p): bool => ! in_array($p->value, $ours, true)));
    }

    /**
     * Writes down that something else is there.
     *
     * @param  array<string, string|list<string>>|null  $theirs  by the words that are there; null where nothing is
     *   there
     */
    public function note(Placement $placement, ?array $theirs, ?string $etag): void
    {
        DB::table('outside_changes')->upsert(
            [
                'placement_id' => $placement->id,
                'what' => $theirs === null ? 'gone' : 'changed',
                'etag' => $etag,
                'theirs' => $theirs === null ? null : Crypt::encryptString((string) json_encode($theirs)),
                'found_at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
            ],
            ['placement_id'],
        );
    }

    /**
     * Keeps what is there: no run touches it from now on.
     *
     * @param  list<int>  $placements  ids
     * @return int how many
     */
    public function keepTheirs(array $placements, Person $by): int
    {
        return DB::transaction(function () use ($placements, $by): int {
            $n = Placement::query()
                ->whereKey($this->drifted($placements))
                ->update(['left_alone' => true, 'trouble' => null]);
            DB::table('outside_changes')->whereIntegerInRaw('placement_id', $placements)->delete();
            $this->told($placements, $by, new Said('audit.kept_theirs'));

            return $n;
        });
    }

    /**
     * Puts ours back, over what is there now.
     *
     * @param  list<int>  $placements  ids
     */
    public function putBack(array $placements, Person $by, bool $queue = true): ?Run
    {
        return DB::transaction(function () use ($placements, $by, $queue): ?Run {
            $rows = DB::table('outside_changes')
                ->whereIntegerInRaw('placement_id', $placements)
                ->lock('for update')
                ->get();
            foreach ($rows as $row) {
                // Over exactly what was looked at: what is changed once more meanwhile is asked for again.
                Placement::query()
                    ->whereKey($row->placement_id)
                    ->update([
                        'etag' => $row->what === 'gone' ? null : $row->etag,
                        'published_hash' => $row->what === 'gone' ? null : 'drift',
                        'schedule_tag' => null,
                        'trouble' => null,
                    ]);
            }
            $ids = array_values(array_map(intval(...), $rows->pluck('placement_id')->all()));
            $this->told($ids, $by, new Said('audit.put_back'));
            DB::table('outside_changes')->whereIntegerInRaw('placement_id', $ids)->delete();

            return $ids === [] ? null : $this->start->these($ids, $by, $queue);
        });
    }

    /**
     * Takes care of it again: what is there is looked at at the next look, and ours is put there by the next run.
     *
     * @throws Fault
     */
    public function takeBack(Placement $placement, Person $by): void
    {
        DB::transaction(function () use ($placement, $by): void {
            if (! $placement->left_alone) {
                throw new Fault('drift.not_alone', 'form');
            }
            $placement->update([
                'left_alone' => false,
                'published_hash' => 'drift',
                'etag' => '',
                'schedule_tag' => null,
            ]);
            $this->told([$placement->id], $by, new Said('audit.cared_for'));
        });
    }

    /**
     * @param  Collection<int, Placement>  $standing
     * @return array{int, array<string, string>} how many differ; and spaces that could not be read
     */
    private function compare(Place $place, Collection $standing): array
    {
        $destination = $this->destinations->at($place);
        $spaces = $standing->groupBy(fn (Placement $p): string => explode('/', $p->key, 2)[0]);
        $tasks = [];
        foreach ($spaces as $space => $own) {
            $tasks[(string) $space] = function () use ($destination, $space, $own): array {
                $there = $destination->read((string) $space);
                $other = [];
                foreach ($own as $placement) {
                    $found = $there[$placement->key] ?? null;
                    if ($found === null || $found->etag !== $placement->etag) {
                        $found = $found === null ? null : $destination->whole($found);
                        $other[] = [$placement, $found];
                        if ($found?->body !== null && $placement->place === Place::Calendar) {
                            $this->replies->standing((string) $space, $found->body);
                        }
                    }
                }

                return [$other, $there];
            };
        }
        $silent = $differ = [];
        foreach (ConcurrentRequests::run($tasks) as $space => $came) {
            if ($came instanceof DestinationFailure) {
                $silent["{$place->value} $space"] = $came->getMessage();
            } elseif ($came instanceof Throwable) {
                throw $came;
            } else {
                [$other, $there] = $came;
                $this->others->note($place, (int) $spaces[$space]?->first()?->section_id, $there);
                foreach ($other as [$placement, $found]) {
                    if ($this->differs($place, $placement, $found)) {
                        $differ[] = $placement->id;
                    }
                }
            }
        }
        // What is again as we left it is nothing to be asked about.
        $read = $standing->reject(
            fn (Placement $p): bool => isset($silent["{$place->value} ".explode('/', $p->key, 2)[0]]),
        );
        DB::table('outside_changes')
            ->whereIntegerInRaw('placement_id', array_diff($read->modelKeys(), $differ))
            ->delete();

        return [count($differ), $silent];
    }

    private function differs(Place $place, Placement $placement, ?Found $found): bool
    {
        $destination = $this->destinations->at($place);
        $wanted = $this->wanted($placement);
        if ($found !== null && $wanted !== null && $destination->means($found, $wanted)) {
            // Written again by the server, or put by a try of ours whose answer got lost.
            $placement->update([
                'etag' => $found->etag,
                'published_hash' => $wanted->fingerprint(),
                'standing' => $wanted->fields,
            ]);

            return false;
        }
        $this->note($placement, $found === null ? null : $destination->words($found), $found?->etag);

        return true;
    }

    private function wanted(Placement $placement): ?WantedPlacement
    {
        if (! isset($this->wanted[$placement->section_id])) {
            $this->wanted[$placement->section_id] = [];
            foreach ($this->facts->for([$placement->section_id]) as $facts) {
                foreach (WantedPlacements::of($facts) as $one) {
                    $this->wanted[$placement->section_id]["{$one->place->value} $one->key"] = $one;
                }
            }
        }

        return $this->wanted[$placement->section_id]["{$placement->place->value} $placement->key"] ?? null;
    }

    /**
     * @param  list<int>  $placements
     * @return list<int> items known to be changed outside
     */
    private function drifted(array $placements): array
    {
        return array_values(
            array_map(
                intval(...),
                DB::table('outside_changes')
                    ->whereIntegerInRaw('placement_id', $placements)
                    ->pluck('placement_id')
                    ->all(),
            ),
        );
    }

    /** @param  list<int>  $placements */
    private function told(array $placements, Person $by, Said $what): void
    {
        $of = Placement::query()
            ->whereIntegerInRaw('id', $placements)
            ->orderBy('id')
            ->get(['id', 'section_id', 'place', 'key', 'label']);
        $sections = Section::query()
            ->whereKey($of->pluck('section_id')->unique()->all())
            ->get()
            ->keyBy('id');
        foreach ($of as $placement) {
            ($this->audit)(
                'place',
                null,
                $by,
                new Said('audit.placement', [
                    'place' => $placement->place->said(),
                    'label' => ItemName::of($placement->place, $placement->key, $placement->label),
                    'what' => $what,
                ]),
                $sections[$placement->section_id] ?? null,
            );
        }
    }
}
