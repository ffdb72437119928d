<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Nomada\App\Actions\Timetable\LaySessions;
use Nomada\App\Actions\Timetable\RefreshClashes;
use Nomada\App\Actions\Timetable\SeriesHistory;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\Zone;

/**
 * What follows when the school's time zone becomes another one. Series that were planned here on the school's clock
 * stay at their time of day and go by the new one; those of an import say their own zone. Every term is laid again.
 */
final readonly class ChangeZone
{
    public function __construct(
        private LaySessions $lay,
        private SeriesHistory $history,
        private RefreshClashes $clashes,
    ) {
    }

    /** Within the transaction that has changed the school's zone. */
    public function follow(string $was, string $is, ?Person $by, ?int $import): void
    {
        $here = Series::query()
            ->whereNull('import_hash')
            ->where('time_zone', $was)
            ->with(['section.term.school', 'section.term.closures'])
            ->orderBy('id')
            ->get();
        foreach ($here as $series) {
            $before = $this->history->snapshot($series->id);
            $series->follow($series->stretches()->in(Zone::named($is)));
            ($this->lay)($series, $series->section->term->calendar());
            $series->sequence++;
            $series->save();
            $this->history->record($series, $by, new Said('history.zone', ['zone' => $is]), $before, $import);
        }
        $this->everyTerm();
    }

    /** Lays every series of every term again, after the zone has changed or was changed back. */
    public function everyTerm(): void
    {
        foreach (
            Term::query()
                ->with(['school', 'closures'])
                ->orderBy('id')
                ->get() as $term
        ) {
            $all = Series::query()
                ->whereHas('section', fn ($q) => $q->where('term_id', $term->id))
                ->with('section')
                ->orderBy('id');
            foreach ($all->lazyById(200)->chunk(200) as $some) {
                $this->lay->follow($some, $term->calendar(), true);
            }
            ($this->clashes)($term);
        }
    }
}
