<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Interchange\TimetableWriter;
use Nomada\Core\Timetable\SessionState;

/** The rows of timetable.csv of series as they are now: what an export writes, and what an import compares. */
final class TimetableRows
{
    /**
     * @param  iterable<Series>  $series  with their sections
     * @return array<string, list<list<string|int>>> rows by the series' uid
     */
    public static function of(iterable $series): array
    {
        $all = collect($series)->keyBy('id');
        $sessions = [];
        foreach (
            DB::table('sessions')
                ->whereIntegerInRaw('series_id', $all->keys()->all())
                ->whereIn('state', [SessionState::Planned, SessionState::Cancelled])
                ->orderBy('starts_at')
                ->get([
                    'sessions.*',
                    DB::raw('extract(epoch from starts_at)::bigint as s'),
                    DB::raw('extract(epoch from ends_at)::bigint as e'),
                ]) as $row
        ) {
            $sessions[(int) $row->series_id][] = Session::core((array) $row, (int) $row->s, (int) $row->e);
        }
        $out = [];
        foreach ($all as $one) {
            $out[$one->uid] = TimetableWriter::rows(
                $one->section->sourced_id,
                $one->title,
                $one->plan(),
                $sessions[$one->id] ?? [],
                $one->uid,
            );
        }

        return $out;
    }
}
