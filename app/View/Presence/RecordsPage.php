<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;

/** What has been held and what was lost, a section a row. */
final readonly class RecordsPage
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<\stdClass> */
    public function rows(Term $term, Person $for): array
    {
        $now = $this->clock->seconds();

        return array_values(
            DB::table('sections')
                ->leftJoin('series_sections', 'section_id', '=', 'sections.id')
                ->leftJoin('sessions', 'sessions.series_id', '=', 'series_sections.series_id')
                ->where('term_id', $term->id)
                ->whereIn('sections.id', Section::query()->seenBy($for)->select('id'))
                ->groupBy('sections.id')
                ->orderByRaw(
                    "nullif(regexp_replace(year, '[^0-9]', '', 'g'), '')::int nulls last, sections.title, sections.id",
                )
                ->get([
                    'sections.sourced_id',
                    'sections.title',
                    'sections.year',
                    DB::raw("count(sessions.id) filter (where state = 'planned') as planned"),
                    DB::raw(
                        "count(sessions.id) filter (where state = 'planned' and ends_at <= to_timestamp($now)) as held",
                    ),
                    DB::raw("count(sessions.id) filter (where state = 'lost') as lost"),
                    DB::raw(
                        "coalesce(sum(extract(epoch from ends_at - starts_at) / 60) filter (where state =
                            'planned'), 0)::int as planned_minutes",
                    ),
                    DB::raw(
                        "coalesce(sum(extract(epoch from ends_at - starts_at) / 60) filter (where state =
                            'planned' and ends_at <= to_timestamp($now)), 0)::int as held_minutes",
                    ),
                    DB::raw(
                        "coalesce(sum(extract(epoch from ends_at - starts_at) / 60) filter (where state =
                            'lost'), 0)::int as lost_minutes",
                    ),
                ])
                ->all(),
        );
    }
}
