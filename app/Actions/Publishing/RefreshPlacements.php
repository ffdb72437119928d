<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\WantedPlacements;
use stdClass;

/**
 * Writes down what should be at the destinations for sections, after anything of theirs has changed.
 * Only fingerprints are kept; the content is made again from the facts when it is sent.
 */
final readonly class RefreshPlacements
{
    public function __construct(
        private SectionFactsQuery $facts,
        private Places $places,
        private ToldSections $told,
    ) {
    }

    /** @param  list<int>  $sections */
    public function __invoke(array $sections): void
    {
        $sections = array_values(array_unique($sections));
        // In one order, so that two who write for the same sections do not wait for each other.
        sort($sections);
        foreach (array_chunk($sections, 40) as $chunk) {
            foreach ($this->facts->for($chunk) as $id => $facts) {
                $this->section($id, $facts);
            }
        }
    }

    private function section(int $id, SectionFacts $facts): void
    {
        $rows = [];
        foreach (WantedPlacements::of($facts) as $wanted) {
            $rows["{$wanted->place->value} $wanted->key"] = [
                'section_id' => $id,
                'place' => $wanted->place->value,
                'key' => $wanted->key,
                'label' => $wanted->label,
                'person' => $wanted->person,
                'desired_hash' => $wanted->fingerprint(),
            ];
        }
        $now = now();
        DB::transaction(function () use ($id, $rows, $now, $facts): void {
            $isTold = $this->told->follow($id, $facts);
            $known = DB::table('published_items')
                ->where('section_id', $id)
                ->get(['id', 'place', 'key', 'desired_hash', 'published_hash']);
            $gone = $known->reject(fn (stdClass $p): bool => isset($rows["$p->place $p->key"]));
            foreach ($known as $placement) {
                $same = "$placement->place $placement->key";
                if (($rows[$same]['desired_hash'] ?? null) === $placement->desired_hash) {
                    unset($rows[$same]);
                }
            }
            if ($rows !== []) {
                ksort($rows);
                // One parameter for all of them: binding some hundred rows column by column takes longer than the rest
                // of this.
                DB::statement(
                    'insert into published_items (section_id, place, key, label, person, desired_hash, created_at,
                        updated_at) select section_id, place, key, label, person, desired_hash, ?::timestamptz,
                        ?::timestamptz from json_to_recordset(?::json) as t(section_id bigint, place text, key text,
                        label text, person text, desired_hash text)
                    on conflict (place, key) do update set section_id = excluded.section_id, label = excluded.label,
                        person = excluded.person, desired_hash = excluded.desired_hash, updated_at =
                        excluded.updated_at',
                    [$now, $now, json_encode(array_values($rows), JSON_THROW_ON_ERROR)],
                );
            }
            if ($this->standByThemselves($id) && ! $isTold) {
                $this->told->first([$id => $facts]);
            }
            if ($gone->isEmpty()) {
                return;
            }
            // What never stood anywhere is forgotten; what is there must be removed there first.
            Placement::query()
                ->whereKey($gone->whereNull('published_hash')->pluck('id')->all())
                ->delete();
            Placement::query()
                ->whereKey($gone->whereNotNull('published_hash')->pluck('id')->all())
                ->update(['desired_hash' => null]);
        });
    }

    /**
     * Our own pages and feeds are always current: they are made when somebody looks.
     *
     * @return bool whether all of a section stands so: its students see it from now on, and are told of what changes
     */
    private function standByThemselves(int $section): bool
    {
        $ours = $this->places->ofOurs();
        $of = fn () => DB::table('published_items')->where('section_id', $section);

        return $ours !== [] &&
            $of()
                ->whereIn('place', $ours)
                ->update(['published_hash' => DB::raw('desired_hash')]) > 0 &&
            $of()->whereNull('published_hash')->doesntExist();
    }
}
