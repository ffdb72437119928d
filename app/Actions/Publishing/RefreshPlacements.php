<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Placement;
use Nomada\Core\Publishing\SectionFacts;
use Nomada\Core\Publishing\WantedPlacements;

/**
 * Writes down what ought to stand at the destinations for sections, after anything of theirs has changed.
 * Only fingerprints are kept; the content is made again from the facts when it is sent.
 */
final readonly class RefreshPlacements
{
    public function __construct(private SectionFactsQuery $facts)
    {
    }

    /** @param  list<int>  $sections */
    public function __invoke(array $sections): void
    {
        foreach (array_chunk(array_values(array_unique($sections)), 40) as $chunk) {
            foreach ($this->facts->for($chunk) as $id => $facts) {
                $this->section($id, $facts);
            }
        }
    }

    private function section(int $id, SectionFacts $facts): void
    {
        $now = now();
        $rows = [];
        foreach (WantedPlacements::of($facts) as $wanted) {
            $rows["{$wanted->place->value} $wanted->key"] = [
                'section_id' => $id, 'place' => $wanted->place->value, 'key' => $wanted->key, 'label' => $wanted->label, 'person' => $wanted->person,
                'wanted_print' => $wanted->fingerprint(), 'created_at' => $now, 'updated_at' => $now,
            ];
        }
        DB::transaction(function () use ($id, $rows): void {
            $known = Placement::query()->where('section_id', $id)->get(['id', 'place', 'key', 'wanted_print', 'standing_print']);
            $gone = $known->reject(fn (Placement $p): bool => isset($rows["{$p->place->value} $p->key"]));
            foreach ($known as $placement) {
                $same = "{$placement->place->value} $placement->key";
                if (($rows[$same]['wanted_print'] ?? null) === $placement->wanted_print) {
                    unset($rows[$same]);
                }
            }
            foreach (array_chunk(array_values($rows), 500) as $chunk) {
                Placement::query()->upsert($chunk, ['place', 'key'], ['section_id', 'label', 'person', 'wanted_print', 'updated_at']);
            }
            // What never stood anywhere is forgotten; what stands must be removed there first.
            Placement::query()->whereKey($gone->whereNull('standing_print')->modelKeys())->delete();
            Placement::query()->whereKey($gone->whereNotNull('standing_print')->modelKeys())->update(['wanted_print' => null]);
        });
    }
}
