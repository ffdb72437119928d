<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\FreeTimes;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;

/**
 * Other times for the coming sessions of a series, or for one that was lost; and what given times would cost. Anybody
 * who leaves one of the two sections before the day that is asked about does not count; anybody who leaves later counts
 * to the end, as a careful coordinator would plan it. Times that a teacher's own calendar blocks are busy too.
 *
 * @phpstan-type Busy array{teachers: array<int, list<array{int, int}>>,
 *   students: array<int, list<array{int, int, int}>>}
 */
final readonly class FreeTimesQuery
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  LocalDate|null  $from  the first day that may move; today where null
     * @return list<FreeTime>
     */
    public function forSeries(Series $series, ?LocalDate $from = null, int $most = 6): array
    {
        $now = $this->clock->seconds();
        $term = $series->section->term->calendar();
        $from ??= $term->zone->dateAt($now);
        $days = array_values(
            array_map(
                intval(...),
                DB::table('sessions')
                    ->where('series_id', $series->id)
                    ->where('state', SessionState::Planned)
                    ->where('is_extra', false)
                    ->where('day', '>=', $from->iso())
                    ->whereRaw('starts_at > to_timestamp(?)', [$now])
                    ->orderBy('day')
                    ->pluck(DB::raw("(day - date '1970-01-01') as n"))
                    ->all(),
            ),
        );

        return $this->free(
            $term,
            $series->sectionIds(),
            $series->id,
            $from,
            Zone::named($series->time_zone),
            null,
            $series->host_account_id,
        )->forSeries(
            $days,
            $series->start_minute,
            $series->minutes,
            $most,
            $series->pattern['kind'] === 'weekly',
            $series->period !== null,
        );
    }

    /**
     * Times on which a session of a day could be made up, from two weeks before it to three weeks behind it and never
     * in the past.
     *
     * @param  list<ProposedSession>  $taken  times that are proposed for others at the same time
     * @return list<FreeTime>
     */
    public function forOne(Series $series, LocalDate $day, int $most = 6, array $taken = []): array
    {
        $term = $series->section->term->calendar();
        $today = $term->zone->dateAt($this->clock->seconds());
        $first = new LocalDate(max($today->day + 1, $day->day - 14));
        $last = max($first->day, $day->day) + 21;

        // Its own sessions are in the way too.
        return $this->free(
            $term,
            $series->sectionIds(),
            null,
            $first,
            Zone::named($series->time_zone),
            new LocalDate($last),
            $series->host_account_id,
            null,
            $taken,
        )->forOne(
            $day->day,
            $first->day,
            $last,
            $series->start_minute,
            $series->minutes,
            $most,
            $series->period !== null,
        );
    }

    /**
     * What the coming ones of given sessions would cost; null where none is to come.
     *
     * @param  list<PlannedSession>  $sessions
     * @param  int|null  $teacher  anybody who takes them instead of the sections' teachers
     */
    public function costOf(Series $series, array $sessions, ?int $teacher = null): ?FreeTime
    {
        return $this->cost(
            $series->section->term->calendar(),
            $series->sectionIds(),
            $series->id,
            Zone::named($series->time_zone),
            $sessions,
            $series->host_account_id,
            $teacher,
        );
    }

    /** @param  list<PlannedSession>  $sessions */
    public function costOfPlan(Section $section, array $sessions, SeriesPlan $plan, ?Series $series): ?FreeTime
    {
        return $this->cost(
            $section->term->calendar(),
            $series?->sectionIds() ?? [$section->id],
            $series?->id,
            $plan->zone,
            $sessions,
            $series?->host_account_id,
        );
    }

    /**
     * @param  list<int>  $sections
     * @param  list<PlannedSession>  $sessions
     */
    private function cost(
        Term $term,
        array $sections,
        ?int $but,
        Zone $zone,
        array $sessions,
        ?int $account = null,
        ?int $teacher = null,
    ): ?FreeTime {
        $now = $this->clock->seconds();
        $coming = array_values(
            array_filter(
                $sessions,
                fn (PlannedSession $s): bool => $s->state === SessionState::Planned && $s->start > $now,
            ),
        );
        if ($coming === []) {
            return null;
        }
        $at = array_map(function (PlannedSession $s) use ($zone): array {
            [$day, $minute] = $zone->wall($s->start);

            return [$day, $minute, intdiv($s->end - $s->start, 60)];
        }, $coming);

        return $this->free($term, $sections, $but, new LocalDate($at[0][0]), $zone, null, $account, $teacher)->at(
            $at,
        );
    }

    /**
     * @param  list<int>  $sections
     * @param  list<ProposedSession>  $taken
     */
    private function free(
        Term $term,
        array $sections,
        ?int $but,
        LocalDate $from,
        Zone $zone,
        ?LocalDate $last = null,
        ?int $account = null,
        ?int $teacher = null,
        array $taken = [],
    ): FreeTimes {
        [$first, $until] = [$from->plus($last === null ? -7 : -1), $last?->plus(1) ?? $term->last->plus(7)];
        $busy = $this->busy($sections, $but, $first, $until, $teacher, $taken);
        $zones = DB::table('memberships')
            ->join('people', 'people.id', '=', 'person_id')
            ->whereIn('section_id', $sections)
            ->where('memberships.role', MembershipRole::Student)
            ->groupBy('time_zone')
            ->pluck(DB::raw('count(distinct person_id) as n'), 'time_zone')
            ->map(fn (mixed $n): int => (int) $n)
            ->all();

        return new FreeTimes(
            $term,
            $busy['teachers'],
            $busy['students'],
            $zones,
            $zone,
            $account === null ? [] : $this->full($account, $but, $first, $until, $taken),
        );
    }

    /**
     * When a host account bears no session more.
     *
     * @param  int|null  $but  the series that is asked about
     * @param  list<ProposedSession>  $taken
     * @return array<int, list<array{int, int}>> UTC spans by day number
     */
    private function full(int $account, ?int $but, LocalDate $first, LocalDate $last, array $taken = []): array
    {
        $atOnce = HostAccounts::all()[$account]->atOnce ?? 1;
        $rows = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->where('state', SessionState::Planned)
            ->whereRaw('coalesce(sessions.host_account_id, series.host_account_id) = ?', [$account])
            ->when($but !== null, fn ($q) => $q->where('series.id', '!=', $but))
            ->whereBetween('day', [$first->iso(), $last->iso()])
            ->orderBy('starts_at')
            ->get([
                DB::raw("(day - date '1970-01-01') as n"),
                DB::raw('extract(epoch from starts_at)::bigint as starts'),
                DB::raw('extract(epoch from ends_at)::bigint as ends'),
            ]);
        foreach ($taken as $one) {
            if ($one->account === $account) {
                $rows->push((object) ['n' => $one->day, 'starts' => $one->start, 'ends' => $one->end]);
            }
        }
        $out = [];
        foreach ($rows->groupBy('n') as $day => $sessions) {
            $moments = $sessions
                ->pluck('starts')
                ->merge($sessions->pluck('ends'))
                ->unique()
                ->sort()
                ->values()
                ->all();
            for ($i = 1; $i < count($moments); $i++) {
                [$from, $to] = [(int) $moments[$i - 1], (int) $moments[$i]];
                $running = $sessions
                    ->filter(fn (\stdClass $s): bool => $s->starts < $to && $s->ends > $from)
                    ->count();
                if ($running >= $atOnce) {
                    $out[(int) $day][] = [$from, $to];
                }
            }
        }

        return $out;
    }

    /**
     * When the teachers of sections are elsewhere, and how many of their students.
     *
     * @param  list<int>  $sections
     * @param  int|null  $but  the series that is asked about
     * @param  int|null  $teacher  anybody who takes it instead of the sections' teachers
     * @param  list<ProposedSession>  $taken
     * @return Busy
     */
    public function busy(
        array $sections,
        ?int $but,
        LocalDate $first,
        LocalDate $last,
        ?int $teacher = null,
        array $taken = [],
    ): array {
        $iso = $first->iso();
        $people = DB::table('memberships')
            ->whereIn('section_id', $sections)
            ->whereIn('role', $teacher === null ? MembershipRole::TEACHING : [MembershipRole::CoTeacher])
            ->whereRaw("coalesce(ends_on, 'infinity') >= ?", [$iso])
            ->pluck('person_id')
            ->push(...$teacher === null ? [] : [$teacher])
            ->unique()
            ->values()
            ->all();
        // Where those people teach, and from when until when.
        $taught = DB::table('memberships')
            ->whereIn('person_id', $people)
            ->whereIn('role', MembershipRole::TEACHING)
            ->get(['section_id', 'begins_on', 'ends_on'])
            ->groupBy('section_id');
        // Which sections share how many students with these, and on which days both have them.
        $shared = DB::table('memberships as own')
            ->join('memberships as other', 'other.person_id', '=', 'own.person_id')
            ->whereIn('own.section_id', $sections)
            ->where('own.role', MembershipRole::Student)
            ->where('other.role', MembershipRole::Student)
            ->whereRaw("coalesce(least(own.ends_on, other.ends_on), 'infinity') >= ?", [$iso])
            ->groupByRaw('1, 2, 3')
            ->get([
                'other.section_id',
                DB::raw('greatest(own.begins_on, other.begins_on) as begins_on'),
                DB::raw('least(own.ends_on, other.ends_on) as ends_on'),
                DB::raw('count(distinct own.person_id) as n'),
            ])
            ->groupBy('section_id');
        $holds = fn (\stdClass $part, int $day): bool => ($part->begins_on === null ||
            LocalDate::parse($part->begins_on)->day <= $day) &&
            ($part->ends_on === null || LocalDate::parse($part->ends_on)->day >= $day);
        $teachers = $students = [];
        $sessions = DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->when($but !== null, fn ($q) => $q->where('sessions.series_id', '!=', $but))
            ->where('state', SessionState::Planned)
            ->whereBetween('day', [$iso, $last->iso()])
            ->select([
                'sessions.id',
                'section_id',
                'teacher_id',
                DB::raw("(day - date '1970-01-01') as n"),
                DB::raw('extract(epoch from starts_at)::bigint as starts'),
                DB::raw('extract(epoch from ends_at)::bigint as ends'),
            ]);
        // Asked in two: an index answers each, none both.
        $rows = [
            ...(clone $sessions)
                ->whereIn('section_id', $taught->keys()->merge($shared->keys())->unique()->all())
                ->get(),
            ...$people === [] ? [] : (clone $sessions)->whereIn('teacher_id', $people)->get(),
            ...array_merge(...array_map(fn (ProposedSession $p): array => $p->rows(), $taken)),
        ];
        foreach ($rows as $b) {
            // Somebody else takes it: the teacher is free then.
            $isTaught =
                $b->teacher_id === null
                    ? ($taught[$b->section_id] ?? collect())->contains(
                        fn (\stdClass $p): bool => $holds($p, (int) $b->n),
                    )
                    : in_array($b->teacher_id, $people, true);
            if ($isTaught) {
                $teachers[(int) $b->n]["$b->id"] = [(int) $b->starts, (int) $b->ends];
            }
            $many = ($shared[$b->section_id] ?? collect())
                ->filter(fn (\stdClass $p): bool => $holds($p, (int) $b->n))
                ->sum('n');
            if ($many > 0) {
                $students[(int) $b->n]["$b->id $b->section_id"] = [(int) $b->starts, (int) $b->ends, (int) $many];
            }
        }
        foreach (
            DB::table('busy_blocks')
                ->whereIn('person_id', $people)
                ->whereRaw('ends_at > ?::date and starts_at < ?::date + 2', [$iso, $last->iso()])
                ->get([
                    DB::raw('id'),
                    DB::raw('extract(epoch from starts_at)::bigint as starts'),
                    DB::raw('extract(epoch from ends_at)::bigint as ends'),
                ]) as $block
        ) {
            // A block counts for each day that it touches, and the days beside it, whatever the zone.
            for (
                $day = intdiv((int) $block->starts, 86400) - 1;
                $day <= intdiv((int) $block->ends, 86400) + 1;
                $day++
            ) {
                $teachers[$day]["block $block->id"] = [(int) $block->starts, (int) $block->ends];
            }
        }

        return [
            'teachers' => array_map(array_values(...), $teachers),
            'students' => array_map(array_values(...), $students),
        ];
    }
}
