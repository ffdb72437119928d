<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Term\TermChange;
use Nomada\App\Support\Say;

/** The last changes of a term's calendar, newest first, each of which can be undone. */
final readonly class CalendarHistory
{
    private const MOST = 12;

    /** @param  list<CalendarHistoryRow>  $rows */
    private function __construct(public array $rows)
    {
    }

    public static function of(Term $term): self
    {
        $zone = $term->calendar()->zone;

        return new self(
            array_values(
                TermChange::query()
                    ->where('term_id', $term->id)
                    ->with('person')
                    ->orderByDesc('id')
                    ->limit(self::MOST)
                    ->get()
                    ->map(
                        fn (TermChange $c): CalendarHistoryRow => new CalendarHistoryRow(
                            $c->id,
                            Say::day($zone->dateAt((int) $c->at->timestamp)),
                            $zone->clock((int) $c->at->timestamp),
                            $c->person?->shortName(),
                            $c->line(),
                            $c->undone_at !== null,
                            $c->import_id === null,
                        ),
                    )
                    ->all(),
            ),
        );
    }
}
