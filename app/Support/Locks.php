<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Facades\DB;

/**
 * The order in which locks are taken: a term's timetable, then series by their ids, then what follows from them
 * (sessions, clashes, registrations, links, what should be, by section). Anybody who takes them in this order never
 * waits for somebody who waits for them.
 *
 * The locks are such that anybody who only refers to a row (a registration to its series) does not wait.
 */
final class Locks
{
    /** One change of a term's timetable at a time: a series, its sessions, the calendar. */
    public static function timetable(int $term): void
    {
        DB::select('select pg_advisory_xact_lock(7302, ?)', [$term]);
    }

    /** The timetables of the terms of series, in order. */
    public static function timetableOf(int ...$series): void
    {
        $terms = DB::table('series')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->whereIn('series.id', $series)
            ->distinct()
            ->orderBy('term_id')
            ->pluck('term_id');
        foreach ($terms as $term) {
            self::timetable((int) $term);
        }
    }

    /** Seats, links and registrations of series: anybody who decides about them comes one after the other. */
    public static function series(int ...$ids): void
    {
        DB::table('series')
            ->whereIn('id', $ids)
            ->orderBy('id')
            ->lock('for no key update')
            ->get(['id']);
    }
}
