<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Actions\Publishing\ToldSections;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\Belongings;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\App\View\Timetable\Clashes\ClashList;
use Nomada\App\View\Timetable\SeriesWords;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Publishing\SectionStatus;
use Nomada\Core\Term\LocalDate;

/**
 * The board "every section": a row a section, in a fixed number of queries however many there are.
 */
final readonly class BoardQuery
{
    public function __construct(
        private Clock $clock,
        private PlanQuery $plan,
        private ClashList $clashes,
        private ToldSections $told,
    ) {
    }

    /**
     * @param  list<int>|null  $only  section ids
     * @return list<BoardRow>
     */
    public function rows(Term $term, Person $for, ?array $only = null): array
    {
        $sections = Section::query()
            ->where('term_id', $term->id)
            ->seenBy($for)
            ->when($only !== null, fn ($q) => $q->whereKey($only))
            ->get();
        $ids = array_values(array_map(intval(...), $sections->modelKeys()));
        $teachers = Teachers::of($ids);
        $day = $this->clock->today($term->calendar()->zone);
        $meets = [];
        $series = [];
        $plans = DB::table('series')
            ->join('series_sections', 'series_id', '=', 'series.id')
            ->whereIn('series_sections.section_id', $ids)
            ->orderBy('starts_on')
            ->orderBy('id')
            ->get(['series_sections.section_id as in_section', 'series.*']);
        foreach ($plans as $one) {
            $meets[$one->in_section][] = SeriesWords::row($one, $day->day, $term->calendar()->zone);
            $series[$one->in_section] = ($series[$one->in_section] ?? 0) + 1;
        }
        $clashes = $this->clashes->bySection($ids);
        $days = $this->days($term, $ids, $clashes);
        $linked = $this->counts('join_links', $ids, "kind = 'series' and retired_at is null");
        $registered = $this->registered($ids, $day);
        $today = $day->iso();
        // Every section's is counted: an index has them all, and choosing six hundred costs more than it saves.
        $roster = DB::table('parts')
            ->when($only !== null, fn ($q) => $q->whereIn('section_id', $ids))
            ->whereRaw(Belongings::ON_ROSTER, [$today])
            ->groupBy('section_id')
            ->pluck(DB::raw('count(*) as n'), 'section_id');
        $drifts = DB::table('drifts')
            ->join('placements', 'placements.id', '=', 'placement_id')
            ->groupBy('section_id')
            ->pluck(DB::raw('count(*) as n'), 'section_id');
        $truth = json_decode((string) DB::table('looked_at')->where('what', 'truth')->value('result'), true);
        $other = is_array($truth) ? (array) $truth['sections'] : [];
        $runs = DB::table('absent_runs')->groupBy('section_id')->pluck(DB::raw('count(*) as n'), 'section_id');
        $places = $this->plan->counts($ids);
        $toTell = array_flip($this->told->waiting($ids));
        $out = [];
        foreach ($sections->sortBy(fn (Section $s): string => $s->order()) as $section) {
            $id = $section->id;
            $n = $series[$id] ?? 0;
            $own = $days[$id] ?? [];
            $out[] = new BoardRow(
                $id,
                $section->sourced_id,
                $section->name(),
                $section->year,
                implode('; ', $meets[$id] ?? []),
                $teachers[$id] ?? '',
                $own,
                array_sum(array_map(count(...), $own)),
                new SectionStatus(
                    $n,
                    $linked[$id] ?? 0,
                    (int) ($roster[$id] ?? 0),
                    $n === 0 ? 0 : intdiv($registered[$id] ?? 0, $n),
                    $places[$id] ?? [],
                    $clashes[$id]['words'] ?? [],
                    (int) ($runs[$id] ?? 0),
                    (int) ($drifts[$id] ?? 0),
                    (int) ($other[$section->sourced_id] ?? 0),
                    isset($toTell[$id]),
                ),
            );
        }

        return $out;
    }

    /**
     * Each section's days by the state of their sessions: past, published, planned, changed since it was published,
     * wrong. Lost sessions are not among them; their closed days are drawn.
     *
     * @param  list<int>  $ids
     * @param  array<int, array{words: list<string>, days: array<int, true>}>  $clashes
     * @return array<int, array<string, list<int>>>
     */
    private function days(Term $term, array $ids, array $clashes): array
    {
        $weeks = [];
        $rows = DB::table('placements')
            ->whereIn('section_id', $ids)
            ->where('place', 'course-page')
            ->where('key', 'like', '%/week-%')
            ->get([
                'section_id',
                'key',
                'standing_print',
                DB::raw(Placement::DIFFERS.' as differs'),
                DB::raw('trouble is not null as trouble'),
            ]);
        foreach ($rows as $p) {
            $weeks[$p->section_id][(int) substr((string) strrchr($p->key, '-'), 1)] = match (true) {
                $p->trouble => 'wrong',
                ! $p->differs => 'published',
                $p->standing_print === null => 'planned',
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
            ->where('state', 'planned');
        // Of today's sessions the time of day decides whether they are past.
        $over = (clone $sessions)
            ->where('day', $today->iso())
            ->whereRaw("ends_at <= to_timestamp($now)")
            ->pluck('section_id', 'section_id');
        $out = [];
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
            $wrong = $clashes[$row->section_id]['days'] ?? [];
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

    /**
     * Registrations of each section's own people: those of a series that sections share are not all of this one.
     *
     * @param  list<int>  $ids
     * @return array<int, int> by section
     */
    private function registered(array $ids, LocalDate $day): array
    {
        $shared = array_map(
            intval(...),
            DB::table('series_sections')
                ->groupBy('series_id')
                ->havingRaw('count(*) > 1')
                ->pluck('series_id')
                ->all(),
        );
        $out = array_map(
            intval(...),
            DB::table('series_sections')
                ->whereIn('section_id', $ids)
                ->whereNotIn('series_id', $shared)
                ->groupBy('section_id')
                ->pluck(DB::raw('sum('.Registered::peopleOf('series_sections.series_id', $day).') as n'), 'section_id')
                ->all(),
        );
        if ($shared !== []) {
            $of = DB::table('registrations')
                ->join('series_sections', 'series_sections.series_id', '=', 'registrations.series_id')
                ->whereIn('registrations.series_id', $shared)
                ->whereIn('section_id', $ids)
                ->whereRaw(Registered::on('registrations', $day))
                ->whereExists(
                    fn ($q) => $q
                        ->from('parts')
                        ->whereColumn('parts.section_id', 'series_sections.section_id')
                        ->whereColumn('parts.person_id', 'registrations.person_id')
                        ->where('role', 'student')
                        ->whereRaw("coalesce(ends_on, 'infinity') >= ?", [$day->iso()]),
                )
                ->groupBy('section_id')
                ->pluck(DB::raw(Registered::people('registrations').' as n'), 'section_id');
            foreach ($of as $section => $n) {
                $out[(int) $section] = ($out[(int) $section] ?? 0) + (int) $n;
            }
        }

        return $out;
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, int> by section
     */
    private function counts(string $table, array $ids, string $where): array
    {
        return array_map(
            intval(...),
            DB::table($table)
                ->join('series_sections', 'series_sections.series_id', '=', "$table.series_id")
                ->whereIn('section_id', $ids)
                ->whereRaw($where)
                ->groupBy('section_id')
                ->pluck(DB::raw('count(*) as n'), 'section_id')
                ->all(),
        );
    }
}
