<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Post\Letters;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\Clock;
use Nomada\Core\Publishing\Changes;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\SessionChange;
use Nomada\Core\Publishing\ToldSeries;

/**
 * Tells changes when they are published: what students were last told of a section beside what is true now, as one post
 * in the class stream and one letter to each, and never twice. What was changed and changed back is told to nobody.
 */
final readonly class TellChanges
{
    public function __construct(
        private SectionFactsQuery $facts,
        private RefreshPlacements $refresh,
        private Letters $letters,
        private Webhooks $webhooks,
        private Clock $clock,
    ) {
    }

    /**
     * Within the transaction that begins a run.
     *
     * @param  list<int>  $sections
     */
    public function __invoke(array $sections): void
    {
        // Whatever a student would notice makes a placement differ; who was never told of is told by the first run.
        $ids = DB::table('told_sections')
            ->whereIntegerInRaw('section_id', $sections)
            ->whereExists(
                fn ($q) => $q
                    ->from('placements')
                    ->whereColumn('placements.section_id', 'told_sections.section_id')
                    ->whereRaw(Placement::DIFFERS),
            )
            ->orderBy('section_id')
            ->lock('for update')
            ->pluck('state', 'section_id');
        $this->all($ids->all());
    }

    /**
     * Before anything is published: the letters go now, the post stands after the next run. Null where the section was
     * never published, so that nobody was told of anything.
     *
     * @return int|null how many letters
     */
    public function now(int $section): ?int
    {
        return DB::transaction(function () use ($section): ?int {
            $told = DB::table('told_sections')
                ->where('section_id', $section)
                ->lock('for update')
                ->pluck('state', 'section_id');

            return $told->isEmpty() ? null : $this->all($told->all());
        });
    }

    /**
     * @param  array<int|string, mixed>  $told  by section
     * @return int how many letters
     */
    private function all(array $told): int
    {
        $n = 0;
        foreach (array_chunk($told, 40, true) as $some) {
            $changed = [];
            foreach ($this->facts->for(array_map(intval(...), array_keys($some))) as $id => $facts) {
                $was = [];
                $kept = $some[$id];
                foreach ((array) json_decode(is_string($kept) ? $kept : '', true) as $plain) {
                    $series = ToldSeries::from((array) $plain);
                    $was[$series->uid] = $series;
                }
                $changes = Changes::between($was, ToldSeries::all($facts), $this->clock->seconds());
                if ($changes !== []) {
                    $n += $this->tell($id, $facts, $changes);
                    $changed[] = $id;
                }
                $this->keep($id, $facts);
            }
            if ($changed !== []) {
                ($this->refresh)($changed);
            }
        }

        return $n;
    }

    /** What a section's students are told of it from now on, where it was never told. */
    public function first(int $section, SectionFacts $facts): void
    {
        DB::transaction(function () use ($section, $facts): void {
            if (DB::table('told_sections')->insertOrIgnore($this->row($section, $facts)) > 0) {
                $this->webhooks->tell(Webhooks::PUBLISHED, ['section' => $facts->id, 'title' => $facts->title]);
            }
        });
    }

    private function keep(int $section, SectionFacts $facts): void
    {
        DB::table('told_sections')->upsert($this->row($section, $facts), ['section_id']);
    }

    /** @return array<string, int|string> */
    private function row(int $section, SectionFacts $facts): array
    {
        return [
            'section_id' => $section,
            'state' => json_encode(
                array_map(fn (ToldSeries $s): array => $s->toArray(), array_values(ToldSeries::all($facts))),
                JSON_THROW_ON_ERROR,
            ),
            'at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
        ];
    }

    /** @param  list<SessionChange>  $changes */
    private function tell(int $section, SectionFacts $facts, array $changes): int
    {
        $plain = array_map(fn (SessionChange $c): array => $c->toArray(), $changes);
        $this->webhooks->tell(Webhooks::CHANGED, [
            'section' => $facts->id,
            'title' => $facts->title,
            'changes' => $plain,
        ]);
        $id = DB::table('tellings')->insertGetId([
            'section_id' => $section,
            'changes' => json_encode($plain, JSON_THROW_ON_ERROR),
            'at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
        ]);

        return $this->letters->told($id, $section);
    }
}
