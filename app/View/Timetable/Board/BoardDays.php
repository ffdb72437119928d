<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\Core\Timetable\SessionState;

/** The days of sections on the line of the term. Only of rows that are drawn: a term has tens of thousands. */
final readonly class BoardDays
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * Each section's days by the state of their sessions: past, published, planned, changed since it was published,
     * wrong. Lost sessions are not among them; their closed days are drawn.
     *
     * @param  list<BoardRow>  $of
     * @return array<int, array<string, list<int>>> day numbers by section, then by state
     */
    public function of(Term $term, array $of): array
    {
        $ids = array_map(fn (BoardRow $r): int => $r->id, $of);
        $clashes = array_combine($ids, array_map(fn (BoardRow $r): array => array_flip($r->clashDays), $of));
        $weeks = [];
        $rows = DB::table('published_items')
            ->whereIn('section_id', $ids)
            ->where('place', 'course-page')
            ->where('key', 'like', '%/week-%')
            ->get([
                'section_id',
                'key',
                'published_hash',
                DB::raw(Placement::DIFFERS.' as differs'),
                DB::raw('trouble is not null as trouble'),
            ]);
        foreach ($rows as $p) {
            $weeks[$p->section_id][(int) substr((string) strrchr($p->key, '-'), 1)] = match (true) {
                $p->trouble => 'wrong',
                ! $p->differs => 'published',
                $p->published_hash === null => 'planned',
                default => 'changed',
            };
        }
        $calendar = $term->calendar();
        $now = $this->clock->seconds();
        $today = $calendar->zone->dateAt($now);
        $week = [];
        for ($day = $calendar->first->day; $day <= $calendar->last->day; $day++) {
            $week[$day] = $calendar->weekOf($day);
        }
        $sessions = DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->whereIn('section_id', $ids)
            ->where('state', SessionState::Planned);
        // Of today's sessions the time of day decides whether they are past.
        $over = (clone $sessions)
            ->where('day', $today->iso())
            ->whereRaw("ends_at <= to_timestamp($now)")
            ->pluck('section_id', 'section_id');
        $out = array_fill_keys($ids, []);
        foreach (
            $sessions->groupBy('section_id')->get([
                'section_id',
                DB::raw("string_agg((day - date '1970-01-01')::text, ' ') as days"),
                DB::raw(
                    "string_agg(case when makes_up is null then null else (day - date '1970-01-01')::text
                            end, ' ') as makeups",
                ),
            ]) as $row
        ) {
            $states = $weeks[$row->section_id] ?? [];
            $wrong = $clashes[$row->section_id];
            $days = array_map(intval(...), explode(' ', $row->days));
            sort($days);
            $past = 0;
            $limit = isset($over[$row->section_id]) ? $today->day + 1 : $today->day;
            while (isset($days[$past]) && $days[$past] < $limit) {
                $past++;
            }
            $own = $past === 0 ? [] : ['past' => array_slice($days, 0, $past)];
            $makeUps =
                $row->makeups === null ? [] : array_flip(array_map(intval(...), explode(' ', $row->makeups)));
            for ($i = $past, $n = count($days); $i < $n; $i++) {
                $own[
                    isset($wrong[$days[$i]])
                        ? 'wrong'
                        : (isset($makeUps[$days[$i]])
                            ? 'makeup'
                            : $states[$week[$days[$i]]] ?? 'planned')
                ][] = $days[$i];
            }
            $out[(int) $row->section_id] = $own;
        }

        return $out;
    }
}
