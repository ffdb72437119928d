<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Timetable\HostedSeries;
use Nomada\Core\Timetable\SessionState;

/** A term's series as licences see them: when their sessions run, how many come at most, on which account. */
final class RunningSeries
{
    /** @return list<HostedSeries> those with a session that is planned, in the order of their ids */
    public static function of(Term $term): array
    {
        $people = DB::table('memberships')
            ->join('series_sections', 'series_sections.section_id', '=', 'memberships.section_id')
            ->whereIn('role', MembershipRole::ATTENDING)
            ->groupBy('series_id')
            ->pluck(DB::raw('count(distinct person_id) as n'), 'series_id');
        $rows = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('state', SessionState::Planned)
            ->groupBy('series.id')
            ->orderBy('series.id')
            ->get([
                'series.id',
                'series.host_account_id',
                DB::raw(
                    "string_agg(extract(epoch from starts_at)::bigint || ' ' || extract(epoch from
                        ends_at)::bigint, ',' order by starts_at) as list",
                ),
            ]);

        return array_values(
            $rows
                ->map(
                    fn (\stdClass $r): HostedSeries => new HostedSeries(
                        (int) $r->id,
                        array_map(function (string $one): array {
                            [$start, $end] = explode(' ', $one);

                            return [(int) $start, (int) $end];
                        }, explode(',', $r->list)),
                        (int) ($people[$r->id] ?? 0),
                        $r->host_account_id === null ? null : (int) $r->host_account_id,
                    ),
                )
                ->all(),
        );
    }
}
