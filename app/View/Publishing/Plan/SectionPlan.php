<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Plan;

use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\Core\Publishing\Place;

/**
 * The plan of one section in full: at each place what is changed, added, taken away and left, what is alike as one.
 *
 * @phpstan-import-type Item from PlanQuery
 */
final readonly class SectionPlan
{
    /**
     * @param  list<PlanPlace>  $places
     * @param  string  $language  BCP 47; in which the section's items are written, not the reader's
     */
    private function __construct(public array $places, public string $language)
    {
    }

    /** @param  array<string, list<Item>>  $items  by place */
    public static function of(array $items, string $language): self
    {
        return new self(
            array_map(fn (Place $p): PlanPlace => PlanPlace::of($p, $items[$p->value]), Place::cases()),
            $language,
        );
    }
}
