<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\CheckedAtEnd;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\PlanHistory;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\ScheduleReconciliation;
use Nomada\Core\Timetable\Topics;
use stdClass;

/**
 * Lays a series' sessions over its term, as its plans make them (see core's ScheduleReconciliation), and writes down
 * what differs. A session whose date stays keeps its row.
 */
final readonly class LaySessions
{
    public function __construct(private Clock $clock)
    {
    }

    public function __invoke(Series $series, Term $term): ScheduleReconciliation
    {
        $laying = $this->look($series, $series->stretches(), $term);
        $this->write($series, $laying->sessions);

        return $laying;
    }

    /** What laying another plan would do. Nothing is written. */
    public function look(Series $series, PlanHistory $stretches, Term $term): ScheduleReconciliation
    {
        return ScheduleReconciliation::reconcile(
            $stretches->sessions($term),
            $this->standing($series->id),
            $term,
            $this->clock->seconds(),
        );
    }

    /** @return list<PlannedSession> in order of time */
    public function standing(int $series): array
    {
        return self::cores($this->rows([$series])[$series] ?? []);
    }

    /**
     * Lays many series again after a change of the calendar, in a few queries however many they are.
     *
     * @param  iterable<Series>  $all
     * @param  bool  $write  false to look only
     * @return array<int, array{ScheduleReconciliation, bool}> by series, and whether anything of it changed
     */
    public function follow(iterable $all, Term $term, bool $write): array
    {
        $now = $this->clock->seconds();
        $out = $gone = $rows = [];
        $bySeries = [];
        foreach ($all as $series) {
            $bySeries[$series->id] = $series;
        }
        $standing = $this->rows(array_keys($bySeries));
        foreach ($bySeries as $id => $series) {
            $known = $standing[$id] ?? [];
            $laying = ScheduleReconciliation::reconcile(
                $series->stretches()->sessions($term),
                self::cores($known),
                $term,
                $now,
                true,
            );
            [$delete, $insert] = $this->differences($series, $laying->sessions, $known);
            $out[$id] = [$laying, $delete !== [] || $insert !== []];
            array_push($gone, ...$delete);
            array_push($rows, ...$insert);
        }
        if ($write) {
            $this->replace($gone, $rows);
        }

        return $out;
    }

    /**
     * Writes the coming sessions, with their topics; those that have begun are left alone.
     *
     * @param  list<PlannedSession>  $sessions
     */
    public function write(Series $series, array $sessions, bool $freshTopics = false, bool $allTopics = false): void
    {
        $known = $this->rows([$series->id])[$series->id] ?? [];
        $this->replace(...$this->differences($series, $sessions, $known, $freshTopics, $allTopics));
    }

    /**
     * What has to be taken out of the table and put in; a row that changes is in both, by its id.
     *
     * @param  list<PlannedSession>  $sessions
     * @param  list<stdClass>  $known
     * @return array{list<int>, list<array<string, mixed>>}
     */
    private function differences(
        Series $series,
        array $sessions,
        array $known,
        bool $freshTopics = false,
        bool $allTopics = false,
    ): array {
        $now = $this->clock->seconds();
        if ($series->topics !== [] || $freshTopics) {
            $sessions = Topics::lay(
                $series->topics,
                $sessions,
                $series->topics_move,
                $now,
                $freshTopics,
                $allTopics,
            );
        }
        $isNew = $known === [];
        $old = array_column($known, null, 'id');
        $gone = $rows = [];
        foreach ($sessions as $session) {
            $row = $session->id === null ? null : $old[$session->id] ?? null;
            unset($old[(int) $session->id]);
            if ($row !== null && (int) $row->s <= $now && ! $allTopics) {
                continue;
            }
            if ($row !== null && $row->core != $session) {
                $gone[] = (int) $row->id;
                $rows[] = ['id' => (int) $row->id, ...Session::row($session, $series->id)];
            } elseif ($row === null && ($isNew || $session->start > $now)) {
                // One that was taken out and is put back has the id that it had, and with it all that hangs on it.
                $rows[] =
                    ($session->id === null ? [] : ['id' => $session->id]) + Session::row($session, $series->id);
            }
        }
        foreach ($old as $row) {
            if ((int) $row->s > $now) {
                $gone[] = (int) $row->id;
            }
        }

        return [$gone, $rows];
    }

    /**
     * @param  list<int>  $gone
     * @param  list<array<string, mixed>>  $rows
     */
    private function replace(array $gone, array $rows): void
    {
        $kept = array_column($rows, 'id');
        foreach (array_chunk(array_values(array_diff($gone, $kept)), 5000) as $ids) {
            DB::table('sessions')->whereIntegerInRaw('id', $ids)->delete();
        }
        $rows = self::asBefore($rows);
        // A row stays where its session stays: passes, presence and recordings are of it. They may change places.
        CheckedAtEnd::of(function () use ($rows): void {
            foreach ([true, false] as $hasId) {
                $some = array_values(array_filter($rows, fn (array $r): bool => isset($r['id']) === $hasId));
                foreach (array_chunk($some, 500) as $chunk) {
                    $hasId ? DB::table('sessions')->upsert($chunk, 'id') : DB::table('sessions')->insert($chunk);
                }
            }
        });
    }

    /**
     * New sessions with the ids of those that were taken out and had the same dates of the pattern.
     *
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function asBefore(array $rows): array
    {
        $new = array_filter($rows, fn (array $r): bool => ! isset($r['id']) && ! $r['is_extra']);
        $series = array_values(array_unique(array_column($new, 'series_id')));
        $gone = [];
        foreach (
            $series === []
                ? []
                : DB::table('session_identities')
                    ->whereIntegerInRaw('series_id', $series)
                    ->where('is_extra', false)
                    ->whereNotNull('gone_at')
                    ->orderBy('gone_at')
                    ->orderBy('id')
                    ->get() as $one
        ) {
            $gone["$one->series_id $one->slot"] = (int) $one->id;
        }
        foreach ($gone === [] ? [] : $new as $i => $row) {
            $id = $gone[$row['series_id'].' '.($row['moved_from'] ?? $row['day'])] ?? null;
            if ($id !== null) {
                $rows[$i] = ['id' => $id] + $row;
            }
        }

        return $rows;
    }

    /**
     * @param  list<int>  $series
     * @return array<int, list<stdClass>> by series, in order of time; each with the session in `core`
     */
    private function rows(array $series): array
    {
        $out = [];
        foreach (
            DB::table('sessions')
                ->whereIntegerInRaw('series_id', $series)
                ->orderBy('starts_at')
                ->orderBy('day')
                ->get([
                    '*',
                    DB::raw('extract(epoch from starts_at)::bigint as s'),
                    DB::raw('extract(epoch from ends_at)::bigint as e'),
                ]) as $row
        ) {
            $row->core = Session::core((array) $row, (int) $row->s, (int) $row->e);
            $out[(int) $row->series_id][] = $row;
        }

        return $out;
    }

    /**
     * @param  list<stdClass>  $rows
     * @return list<PlannedSession>
     */
    private static function cores(array $rows): array
    {
        return array_map(fn (stdClass $r): PlannedSession => $r->core, $rows);
    }
}
