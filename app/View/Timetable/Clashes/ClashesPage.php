<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Clashes;

use Nomada\App\View\Address;
use Nomada\Core\Timetable\Clash;

/** The clashes of a term; or only those of one kind, or those that were accepted. */
final readonly class ClashesPage
{
    /** Kinds that always have a way of looking at them; the others where there are any. */
    private const ALWAYS = ['teacher', 'students', 'accepted'];

    /** @var list<ClashRow> */
    public array $rows;

    /** @var array<string, int> how many of each kind, of those that can be looked at */
    public array $kinds;

    public Address $sections;

    /** Those that count as clashes, and those that are advice. */
    public int $grave;

    public int $advice;

    /**
     * @param  list<ClashRow>  $all
     * @param  string  $show  a kind, accepted, or empty for all that count
     */
    public function __construct(array $all, public string $show)
    {
        $this->sections = Address::of('section');
        $counts = array_count_values(
            array_map(fn (ClashRow $r): string => $r->reason === null ? $r->kind : 'accepted', $all),
        );
        $kinds = [];
        foreach (array_unique(['teacher', 'students', ...array_keys(Clash::GRAVITY), 'accepted']) as $kind) {
            if (isset($counts[$kind]) || in_array($kind, self::ALWAYS, true) || $show === $kind) {
                $kinds[$kind] = $counts[$kind] ?? 0;
            }
        }
        $this->kinds = $kinds;
        $this->grave = array_sum(array_intersect_key($counts, array_flip(Clash::grave())));
        $this->advice = array_sum($counts) - $this->grave - ($counts['accepted'] ?? 0);
        $this->rows = array_values(
            array_filter(
                $all,
                fn (ClashRow $r): bool => $show === 'accepted'
                    ? $r->reason !== null
                    : $r->reason === null && ($show === '' || $r->kind === $show),
            ),
        );
    }

    /** All that nobody has accepted. */
    public function open(): int
    {
        return $this->grave + $this->advice;
    }
}
