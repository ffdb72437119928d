<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Plan;

use Illuminate\Support\HtmlString;
use Nomada\App\Support\Say;
use Nomada\App\View\Address;
use Nomada\App\View\Shape;
use Nomada\Core\Publishing\Place;

/** The plan of a publish run over many sections: counts a section and destination, what differs first. */
final readonly class PlanPage
{
    /** What can be done at a place, in the order in which it is told; trouble and leave are no steps. */
    public const MARKS = ['add', 'change', 'remove', 'trouble', 'leave'];

    private const STEPS = ['add', 'change', 'remove'];

    /** Of the plans of single sections. */
    public Address $sections;

    /** @var array<string, string> names of the destinations, by Place; looked up once for all rows */
    public array $placeNames;

    /**
     * @param  list<PlanRow>  $rows
     * @param  int  $differs  sections that differ, of $all; $notYet of which nothing can be published so far
     * @param  string  $show  chosen, all, or what differs
     * @param  string  $open  the sourcedId of the section whose plan is open, or empty
     * @param  int  $drifts  things that somebody else has changed at a destination
     * @param  string  $controls  where it is said how the stand-ins behave
     */
    public function __construct(
        public array $rows,
        public int $differs,
        public int $all,
        public int $notYet,
        public string $show,
        public string $open,
        public int $drifts,
        public string $controls,
    ) {
        $this->sections = Address::of('publishing.section');
        $names = [];
        foreach (Place::cases() as $place) {
            $names[$place->value] = Say::this($place->said());
        }
        $this->placeNames = $names;
    }

    /** Placements that would be touched. */
    public function steps(): int
    {
        return array_sum(array_map(fn (PlanRow $r): int => array_sum($r->steps()), $this->rows));
    }

    /** Sections of which students should be told something that changed. */
    public function toTell(): int
    {
        return count(array_filter($this->rows, fn (PlanRow $r): bool => $r->isToTell));
    }

    /** @return array<string, int> what should be done at one place by verb, where anything is */
    public function total(Place $place): array
    {
        $out = [];
        foreach (self::STEPS as $verb) {
            $n = array_sum(array_map(fn (PlanRow $r): int => $r->places[$place->value][$verb], $this->rows));
            if ($n > 0) {
                $out[$verb] = $n;
            }
        }

        return $out;
    }

    /** The shape of what can be done, with its word. */
    public function mark(string $mark): HtmlString
    {
        return Shape::svg($mark === 'trouble' ? 'wrong' : $mark, (string) __("plan.marks.$mark"));
    }
}
