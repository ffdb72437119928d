<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
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
        private ToldSections $told,
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
     * @return int how many letters
     */
    public function __invoke(array $sections): int
    {
        return $this->all($this->locked($this->told->waiting($sections)));
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
            $told = $this->locked([$section]);

            return $told === [] ? null : $this->all($told);
        });
    }

    /**
     * In one order, so that two runs do not wait for each other.
     *
     * @param  list<int>  $sections
     * @return array<int|string, mixed> their columns `state`, of those that were told, by section
     */
    private function locked(array $sections): array
    {
        return DB::table('section_announcements')
            ->whereIntegerInRaw('section_id', $sections)
            ->orderBy('section_id')
            ->lock('for update')
            ->pluck('state', 'section_id')
            ->all();
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
                $changes = Changes::between(
                    ToldSections::read($some[$id]),
                    ToldSeries::all($facts),
                    $this->clock->seconds(),
                );
                if ($changes !== []) {
                    $n += $this->tell($id, $facts, $changes);
                    $changed[] = $id;
                }
                $this->told->keep($id, $facts);
            }
            if ($changed !== []) {
                ($this->refresh)($changed);
            }
        }

        return $n;
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
        $id = DB::table('announcements')->insertGetId([
            'section_id' => $section,
            'changes' => json_encode($plain, JSON_THROW_ON_ERROR),
            'at' => gmdate('Y-m-d H:i:sP', $this->clock->seconds()),
        ]);

        return $this->letters->told($id, $section);
    }
}
