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
    /** @param  list<PlanPlace>  $places */
    private function __construct(public array $places)
    {
    }

    /** @param  array<string, list<Item>>  $items  by place */
    public static function of(array $items): self
    {
        return new self(array_map(fn (Place $p): PlanPlace => PlanPlace::of($p, $items[$p->value]), Place::cases()));
    }
}
