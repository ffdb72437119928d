<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\WriteVersionedCache;
use Nomada\Core\Publishing\FieldChange;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Verb;
use Nomada\Core\Publishing\WantedPlacements;

/**
 * The plan of a publish run: what should be beside what is there, counted per section and destination, or in full
 * for a few sections.
 *
 * @phpstan-type Counts array{add: int, change: int, remove: int, leave: int, trouble: int}
 * @phpstan-type Item array{verb: string, key: string, label: string, person: string|null, of: array<int, string>,
 *   trouble: string|null, fields: array<string, string|list<string>>, changes: list<FieldChange>}
 */
final readonly class PlanQuery
{
    public const NONE = ['add' => 0, 'change' => 0, 'remove' => 0, 'leave' => 0, 'trouble' => 0];

    /** Of what differs, by what nothing but an index is asked, and by what the row is. */
    private const VERBS = [
        "'add'" => Placement::IS_NEW,
        "case when desired_hash is null then 'remove' else 'change' end" => Placement::STANDS_OTHERWISE,
    ];

    public function __construct(private SectionFactsQuery $facts)
    {
    }

    /**
     * @param  list<int>|null  $sections  null for all
     * @return array<int, array<string, Counts>> by section, then by place
     */
    public function counts(?array $sections = null): array
    {
        if ($sections !== null && count($sections) < WriteVersionedCache::MANY) {
            return $this->counted($sections);
        }
        $of = $sections === null ? 'all' : hash('sha256', implode(' ', $sections));

        return WriteVersionedCache::untilWritten("plan $of", fn (): array => $this->counted($sections));
    }

    /**
     * @param  list<int>|null  $sections  null for all
     * @return array<int, array<string, Counts>> by section, then by place
     */
    private function counted(?array $sections): array
    {
        $of = fn (string $where): Builder => DB::table('published_items')
            ->when($sections !== null, fn ($q) => $q->whereIn('section_id', (array) $sections))
            ->whereRaw($where);
        $out = [];
        // How many stand, are new, and are in trouble, an index knows; what they say is read only of those that stand
        // and differ, which are few. What does not stand is new, or would not be here: what is left alone stands.
        $standing = $of('published_hash is not null')
            ->groupBy('section_id', 'place')
            ->get(['section_id', 'place', DB::raw('count(*) as n')]);
        foreach ($standing as $row) {
            $out[(int) $row->section_id][(string) $row->place] = ['leave' => (int) $row->n] + self::NONE;
        }
        foreach (self::VERBS as $verb => $where) {
            $differ = $of($where)
                ->groupBy('section_id', 'place', DB::raw('3'))
                ->get(['section_id', 'place', DB::raw("$verb as verb"), DB::raw('count(*) as n')]);
            foreach ($differ as $row) {
                $counts = $out[(int) $row->section_id][(string) $row->place] ?? self::NONE;
                $n = (int) $row->n;
                match ($row->verb) {
                    'add' => ($counts['add'] = $n),
                    'change' => ($counts['change'] = $n),
                    default => ($counts['remove'] = $n),
                };
                if ($row->verb !== 'add') {
                    // Counted a moment later than all that stand: some may have come in between.
                    $counts['leave'] = max(0, $counts['leave'] - $n);
                }
                $out[(int) $row->section_id][(string) $row->place] = $counts;
            }
        }
        $trouble = $of('trouble is not null')
            ->groupBy('section_id', 'place')
            ->get(['section_id', 'place', DB::raw('count(*) as n')]);
        foreach ($trouble as $row) {
            $counts = $out[(int) $row->section_id][(string) $row->place] ?? self::NONE;
            $out[(int) $row->section_id][(string) $row->place] = ['trouble' => (int) $row->n] + $counts;
        }

        return $out;
    }

    /** How many placements differ from what should be. */
    public function differing(): int
    {
        return DB::table('published_items')->whereRaw(Placement::DIFFERS)->count();
    }

    /**
     * Every placement of a section, with the words of a change before and after.
     *
     * @return array<string, list<Item>> by place
     */
    public function items(int $section): array
    {
        $wanted = [];
        foreach ($this->facts->for([$section]) as $facts) {
            foreach (WantedPlacements::of($facts) as $placement) {
                $wanted[$placement->place->value][$placement->key] = $placement;
            }
        }
        $out = array_fill_keys(array_column(Place::cases(), 'value'), []);
        // Week 2 before week 10.
        $rows = Placement::query()->where('section_id', $section)->get()->sortBy('key', SORT_NATURAL);
        foreach ($rows as $row) {
            $new = $wanted[$row->place->value][$row->key] ?? null;
            $verb = $row->left_alone ? Verb::Leave : $row->verb() ?? Verb::Leave;
            $out[$row->place->value][] = [
                'verb' => $verb->value,
                'key' => $row->key,
                'label' => $row->label,
                'person' => $row->person,
                'of' => $new->of ?? [],
                'trouble' => $row->trouble,
                'fields' => $new === null ? $row->standing ?? [] : $new->fields,
                'changes' => $verb === Verb::Change && $new !== null
                        ? FieldChange::between($row->standing ?? [], $new->fields)
                        : [],
            ];
        }

        return $out;
    }
}
