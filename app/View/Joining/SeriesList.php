<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;

/**
 * Every series with its join link and how many are registered for it.
 *
 * @phpstan-type Row array{series: Series, section: Section, link: JoinLink|null, roster: int, registered: int}
 */
final readonly class SeriesList
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<Row> */
    public function rows(Term $term, Person $for): array
    {
        $series = Series::query()->with(['section', 'links' => fn ($q) => $q->whereNull('retired_at')->where('kind', 'series')])
            ->withCount(['registrations as registered_count' => fn ($q) => $q->where('state', 'accepted')])
            ->whereHas('section', fn ($q) => $q->where('term_id', $term->id)->seenBy($for))->get()
            ->sortBy(fn (Series $s): string => $s->section->order()." $s->title");
        $today = $term->calendar()->zone->dateAt($this->clock->seconds())->iso();
        $roster = DB::table('enrolments')->whereIn('section_id', $series->pluck('section_id'))->where('role', 'student')->where(fn ($q) => $q->whereNull('ends_on')->orWhere('ends_on', '>=', $today))
            ->groupBy('section_id')->pluck(DB::raw('count(*) as n'), 'section_id');

        return array_values($series->map(fn (Series $s): array => [
            'series' => $s, 'section' => $s->section, 'link' => $s->links->first(), 'roster' => (int) ($roster[$s->section_id] ?? 0), 'registered' => (int) $s->getAttribute('registered_count'),
        ])->all());
    }
}
