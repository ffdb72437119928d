<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\Laying;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\Stretches;
use Nomada\Core\Timetable\Topics;

/**
 * Lays a series' sessions over its term, as its plans make them (see core's Laying), and writes down what differs. A
 * session whose date stays keeps its row.
 */
final readonly class LaySessions
{
    public function __construct(private Clock $clock)
    {
    }

    public function __invoke(Series $series, Term $term): Laying
    {
        $laying = Laying::over(
            $series->stretches()->sessions($term),
            $this->standing($series->id),
            $term,
            $this->clock->seconds(),
        );
        $this->write($series, $laying->sessions);

        return $laying;
    }

    /** What laying another plan would do. Nothing is written. */
    public function look(Series $series, Stretches $stretches, Term $term): Laying
    {
        return Laying::over(
            $stretches->sessions($term),
            $this->standing($series->id),
            $term,
            $this->clock->seconds(),
        );
    }

    /** @return list<PlannedSession> in order of time */
    public function standing(int $series): array
    {
        return array_values(
            DB::table('sessions')
                ->where('series_id', $series)
                ->orderBy('starts_at')
                ->orderBy('day')
                ->get([
                    '*',
                    DB::raw('extract(epoch from starts_at)::bigint as s'),
                    DB::raw('extract(epoch from ends_at)::bigint as e'),
                ])
                ->map(fn (\stdClass $r): PlannedSession => Session::core((array) $r, (int) $r->s, (int) $r->e))
                ->all(),
        );
    }

    /**
     * Writes the coming sessions, with their topics; those that have begun are left alone.
     *
     * @param  list<PlannedSession>  $sessions
     */
    public function write(Series $series, array $sessions, bool $freshTopics = false, bool $allTopics = false): void
    {
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
        $known = [];
        foreach (
            DB::table('sessions')
                ->where('series_id', $series->id)
                ->get([
                    '*',
                    DB::raw('extract(epoch from starts_at)::bigint as s'),
                    DB::raw('extract(epoch from ends_at)::bigint as e'),
                ]) as $row
        ) {
            $known[$this->key(Session::core((array) $row, (int) $row->s, (int) $row->e))] = $row;
        }
        $isNew = $known === [];
        $new = $changed = [];
        foreach ($sessions as $session) {
            $old = $known[$this->key($session)] ?? null;
            unset($known[$this->key($session)]);
            if ($old !== null && (int) $old->s <= $now && ! $allTopics) {
                continue;
            }
            $row = Session::row($session, $series->id);
            if ($old === null) {
                $new[] = $row;
            } elseif (
                $session->own != Session::core((array) $old, 0, 0)->own ||
                (int) $old->s !== $session->start ||
                (int) $old->e !== $session->end ||
                $old->state !== $session->state->value ||
                $old->reason !== $session->reason ||
                $old->day !== $row['day']
            ) {
                $changed[] = ['id' => $old->id, ...$row];
            }
        }
        // Written anew rather than updated one by one: a moved date may stand where another stood.
        $gone = array_map(
            fn (\stdClass $r): int => (int) $r->id,
            array_values(array_filter($known, fn (\stdClass $r): bool => (int) $r->s > $now)),
        );
        DB::table('sessions')
            ->whereIn('id', [...$gone, ...array_column($changed, 'id')])
            ->delete();
        foreach (
            [
                $changed,
                array_values(array_filter($new, fn (array $r): bool => $isNew || strtotime($r['starts_at']) > $now)),
            ] as $rows
        ) {
            foreach (array_chunk($rows, 500) as $chunk) {
                DB::table('sessions')->insert($chunk);
            }
        }
    }

    private function key(PlannedSession $session): string
    {
        return $session->isExtra() ? "extra {$session->start}" : 'slot '.$session->slot();
    }
}
