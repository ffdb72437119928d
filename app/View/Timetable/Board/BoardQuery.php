<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Actions\Publishing\ToldSections;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Belongings;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\App\Support\WriteVersionedCache;
use Nomada\App\View\Timetable\Clashes\ClashList;
use Nomada\App\View\Timetable\SeriesWords;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Publishing\SectionStatus;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;
use stdClass;

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
            // No models: six hundred of them take as long as all else.
            ->toBase()
            ->get(['id', 'sourced_id', 'year', 'title']);
        $ids = array_values(array_map(intval(...), $sections->pluck('id')->all()));
        $teachers = Teachers::of($ids);
        $day = $this->clock->today($term->calendar()->zone);
        $meets = [];
        $series = [];
        $plans = DB::table('series')
            ->join('series_sections', 'series_id', '=', 'series.id')
            ->whereIn('series_sections.section_id', $ids)
            ->orderBy('starts_on')
            ->orderBy('id')
            ->get(['series_sections.section_id as in_section', ...SeriesWords::COLUMNS]);
        foreach ($plans as $one) {
            $meets[$one->in_section][] = SeriesWords::row($one, $day->day, $term->calendar()->zone);
            $series[$one->in_section] = ($series[$one->in_section] ?? 0) + 1;
        }
        $clashes = $this->clashes->bySection($ids);
        $counted =
            $only === null
                ? WriteVersionedCache::untilWritten(
                    "board $term->id ".($for->isCoordinator() ? '' : $for->id)." $day->day",
                    fn (): array => $this->counted($ids, $day),
                )
                : $this->counted($ids, $day);
        $places = $this->plan->counts($ids);
        $drifts = DB::table('outside_changes')
            ->join('published_items', 'published_items.id', '=', 'placement_id')
            ->groupBy('section_id')
            ->pluck(DB::raw('count(*) as n'), 'section_id');
        $truth = json_decode((string) DB::table('check_results')->where('what', 'truth')->value('result'), true);
        $other = is_array($truth) ? (array) $truth['sections'] : [];
        $runs = DB::table('absence_streaks')->groupBy('section_id')->pluck(DB::raw('count(*) as n'), 'section_id');
        $toPlace = DB::table('series_to_place')
            ->whereIn('section_id', $ids)
            ->groupBy('section_id')
            ->pluck(DB::raw('count(*) as n'), 'section_id');
        $toTell = array_flip($this->told->waiting($ids));
        $out = [];
        foreach (
            $sections->sortBy(fn (stdClass $s): string => Section::orderOf($s->year, $s->title, $s->id)) as $section
        ) {
            $id = (int) $section->id;
            $n = $series[$id] ?? 0;
            $out[] = new BoardRow(
                $id,
                $section->sourced_id,
                Section::called($section->year, $section->title),
                $section->year,
                implode('; ', $meets[$id] ?? []),
                $teachers[$id] ?? '',
                array_keys($clashes[$id]['days'] ?? []),
                new SectionStatus(
                    $n,
                    $counted['linked'][$id] ?? 0,
                    $counted['roster'][$id] ?? 0,
                    $n === 0 ? 0 : intdiv($counted['registered'][$id] ?? 0, $n),
                    $places[$id] ?? [],
                    $clashes[$id]['words'] ?? [],
                    (int) ($runs[$id] ?? 0),
                    (int) ($drifts[$id] ?? 0),
                    (int) ($other[$section->sourced_id] ?? 0),
                    isset($toTell[$id]),
                    $counted['without'][$id] ?? 0,
                    $counted['beyond'][$id] ?? 0,
                    (int) ($toPlace[$id] ?? 0),
                ),
            );
        }

        return $out;
    }

    /**
     * What is expensive to count, by section.
     *
     * @param  list<int>  $ids
     * @return array<'linked'|'registered'|'roster'|'without'|'beyond', array<int, int>>
     */
    private function counted(array $ids, LocalDate $day): array
    {
        return $this->hosted($ids) + [
            'linked' => $this->counts('join_links', $ids, "kind = 'series' and retired_at is null and room <> ''"),
            'registered' => $this->registered($ids, $day),
            'roster' => array_map(
                intval(...),
                DB::table('memberships')
                    ->whereIn('section_id', $ids)
                    ->whereRaw(Belongings::ON_ROSTER, [$day->iso()])
                    ->groupBy('section_id')
                    ->pluck(DB::raw('count(*) as n'), 'section_id')
                    ->all(),
            ),
        ];
    }

    /**
     * Where host accounts run the sessions: what none runs, and what is too long or too full for the one it is on.
     *
     * @param  list<int>  $ids
     * @return array{without: array<int, int>, beyond: array<int, int>} by section
     */
    private function hosted(array $ids): array
    {
        if (DB::table('host_accounts')->doesntExist()) {
            return ['without' => [], 'beyond' => []];
        }
        $rows = DB::select(
            "with mine as materialized (
                select id from series where section_id = any(?::bigint[])
            ), held as materialized (
                select s.series_id, max(s.ends_at - s.starts_at) as longest,
                    count(*) filter (where coalesce(s.host_account_id, series.host_account_id) is null) as bare
                from sessions s join series on series.id = s.series_id
                where s.series_id in (select id from mine) and s.state = 'planned' and s.starts_at > to_timestamp(?)
                group by s.series_id
            ), people as materialized (
                select series_id, count(distinct person_id) as n
                from memberships join series_sections using (section_id)
                where series_id in (select id from mine) and role in ('student', 'teacher', 'co-teacher')
                group by series_id
            )
            select series.section_id, sum(bare) as bare,
                count(*) filter (where longest > plan.minutes * interval '1 minute' or people.n > plan.seats) as beyond
            from held join series on series.id = held.series_id
            left join people on people.series_id = series.id
            left join host_accounts a on a.id = series.host_account_id
            left join hosting_plans plan on plan.id = a.hosting_plan_id
            group by series.section_id",
            ['{'.implode(',', $ids).'}', $this->clock->seconds()],
        );
        $of = fn (string $what): array => array_filter(
            array_map(intval(...), array_column($rows, $what, 'section_id')),
        );

        return ['without' => $of('bare'), 'beyond' => $of('beyond')];
    }

    /**
     * How many sessions are on the lines of sections.
     *
     * @param  list<int>  $sections
     */
    public function sessions(array $sections): int
    {
        return DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->whereIn('section_id', $sections)
            ->where('state', SessionState::Planned)
            ->count();
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
                ->pluck(
                    DB::raw('sum('.Registered::peopleOf('series_sections.series_id', $day).') as n'),
                    'section_id',
                )
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
                        ->from('memberships')
                        ->whereColumn('memberships.section_id', 'series_sections.section_id')
                        ->whereColumn('memberships.person_id', 'registrations.person_id')
                        ->where('role', MembershipRole::Student)
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
