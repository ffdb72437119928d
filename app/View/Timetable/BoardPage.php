<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;

/**
 * The board with its filters, grouped by year.
 */
final readonly class BoardPage
{
    /** Rows that are written whole at once; the rest is brought when it comes into sight. */
    private const WHOLE = 80;

    /** Rows that are brought at one time, at most. */
    public const AT_ONCE = 60;

    public function __construct(private BoardQuery $query, private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Term $term, Person $person, string $show, string $year): array
    {
        $all = $this->query->rows($term, $person);
        $hasSnag = fn (BoardRow $r): bool => array_filter($r->status->snags(), self::isShown(...)) !== [];
        $unpublished = fn (BoardRow $r): bool => ! $r->status->stands() || $r->status->differing() > 0;
        $rows = array_values(
            array_filter(
                $all,
                fn (BoardRow $r): bool => ($year === '' || $r->year === $year) &&
                    match ($show) {
                        'snags' => $hasSnag($r),
                        'unpublished' => $unpublished($r),
                        default => true,
                    },
            ),
        );
        $groups = [];
        foreach ($rows as $row) {
            $groups[$row->year][] = $row;
        }
        $zone = $term->calendar()->zone;
        [$day, $minute] = $zone->wall($this->clock->seconds());

        return [
            'term' => $term,
            'groups' => $groups,
            'whole' => array_fill_keys(
                array_map(fn (BoardRow $r): int => $r->id, array_slice($rows, 0, self::WHOLE)),
                true,
            ),
            'line' => new TermLine($term->calendar()),
            'today' => $day,
            'minute' => $minute,
            'show' => $show,
            'year' => $year,
            'years' => array_values(array_unique(array_map(fn (BoardRow $r): string => $r->year, $all))),
            'totals' => [
                'sections' => count($all),
                'sessions' => array_sum(array_map(fn (BoardRow $r): int => $r->sessions, $all)),
                'closures' => count($term->closures),
                'snags' => count(array_filter($all, $hasSnag)),
                'unpublished' => count(array_filter($all, $unpublished)),
            ],
        ];
    }

    /**
     * Rows that are asked for by themselves; of sections that the person does not see, none.
     *
     * @param  list<string>  $sections  sourcedIds
     * @return array<string, mixed>
     */
    public function rows(Term $term, Person $person, array $sections): array
    {
        $ids = Section::query()
            ->where('term_id', $term->id)
            ->whereIn('sourced_id', array_slice($sections, 0, self::AT_ONCE))
            ->pluck('id')
            ->all();
        [$day, $minute] = $term->calendar()->zone->wall($this->clock->seconds());

        return [
            'rows' => $this->query->rows($term, $person, array_values(array_map(intval(...), $ids))),
            'line' => new TermLine($term->calendar()),
            'today' => $day,
            'minute' => $minute,
        ];
    }

    /** Snags that have a column of their own are not repeated in the column of snags. */
    public static function isShown(\Nomada\Core\Snag $snag): bool
    {
        return ! in_array($snag->kind, ['no-link', 'not-registered', 'not-published'], true);
    }
}
