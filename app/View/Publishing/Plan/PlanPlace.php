<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Plan;

use Illuminate\Support\Collection;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Support\Say;
use Nomada\Core\Publishing\FieldChange;
use Nomada\Core\Publishing\Place;

/**
 * What is planned of one section at one place.
 *
 * @phpstan-import-type Item from PlanQuery
 */
final readonly class PlanPlace
{
    private const ORDER = ['change', 'add', 'remove', 'leave'];

    /** How many changes of different words are shown. */
    private const SHOWN = 6;

    /**
     * @param  list<PlanGroup>  $groups
     * @param  int  $more  changes of other words that are not shown
     */
    private function __construct(public string $title, public array $groups, public int $more)
    {
    }

    /** @param  list<Item>  $items */
    public static function of(Place $place, array $items): self
    {
        $groups = [];
        $more = 0;
        $byVerb = collect($items)->groupBy('verb');
        foreach (self::ORDER as $verb) {
            $alike = self::alike($verb, $byVerb->get($verb, new Collection()));
            foreach ($alike->take(self::SHOWN)->values() as $n => $some) {
                $items = array_values($some->all());
                if ($items !== []) {
                    $groups[] = PlanGroup::of($place, $verb, $items, $verb !== 'leave' && $n === 0);
                }
            }
            $more += max(0, $alike->count() - self::SHOWN);
        }

        return new self(Say::this($place->said()), $groups, $more);
    }

    /**
     * Many readers get the same words; what they share is shown once. Everybody's own link is of other letters each.
     *
     * @param  Collection<int, Item>  $items
     * @return Collection<array-key, Collection<int, Item>>
     */
    private static function alike(string $verb, Collection $items): Collection
    {
        if ($items->isEmpty()) {
            return new Collection();
        }
        $words = fn (FieldChange $c): array => str_starts_with($c->field, 'link')
            ? [$c->field]
            : [$c->field, $c->before, $c->after];

        return $verb === 'change'
            ? $items->groupBy(fn (array $i): string => (string) json_encode(array_map($words, $i['changes'])))
            : new Collection([$items]);
    }
}
