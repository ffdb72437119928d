<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\FreeTimes;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;

/**
 * Other times for the coming sessions of a series, or for one that was lost; and what given times would cost. Whoever
 * leaves one of the two sections before the day that is asked about does not count; whoever leaves later counts to the
 * end, as a careful coordinator would plan it. Times that a teacher's own calendar blocks are busy too.
 *
 * @phpstan-type Busy array{teachers: array<int, list<array{int, int}>>, students: array<int, list<array{int, int,
 *   int}>>}
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
                    ->where('state', 'planned')
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
     * @return list<FreeTime>
     */
    public function forOne(Series $series, LocalDate $day, int $most = 6): array
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
     */
    public function costOf(Series $series, array $sessions): ?FreeTime
    {
        return $this->cost(
            $series->section->term->calendar(),
            $series->sectionIds(),
            $series->id,
            Zone::named($series->time_zone),
            $sessions,
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
        );
    }

    /**
     * @param  list<int>  $sections
     * @param  list<PlannedSession>  $sessions
     */
    private function cost(Term $term, array $sections, ?int $but, Zone $zone, array $sessions): ?FreeTime
    {
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

        return $this->free($term, $sections, $but, new LocalDate($at[0][0]), $zone)->at($at);
    }

    /** @param  list<int>  $sections */
    private function free(
        Term $term,
        array $sections,
        ?int $but,
        LocalDate $from,
        Zone $zone,
        ?LocalDate $last = null,
    ): FreeTimes {
        $busy = $this->busy(
            $sections,
            $but,
            $from->plus($last === null ? -7 : -1),
            $last?->plus(1) ?? $term->last->plus(7),
        );
        $zones = DB::table('parts')
            ->join('people', 'people.id', '=', 'person_id')
            ->whereIn('section_id', $sections)
            ->where('parts.role', 'student')
            ->groupBy('time_zone')
            ->pluck(DB::raw('count(distinct person_id) as n'), 'time_zone')
            ->map(fn (mixed $n): int => (int) $n)
            ->all();

        return new FreeTimes($term, $busy['teachers'], $busy['students'], $zones, $zone);
    }

    /**
     * When the teachers of sections are elsewhere, and how many of their students.
     *
     * @param  list<int>  $sections
     * @param  int|null  $but  the series that is asked about
     * @return Busy
     */
    public function busy(array $sections, ?int $but, LocalDate $first, LocalDate $last): array
    {
        $iso = $first->iso();
        $own = fn (array $roles) => DB::table('parts as own')
            ->join('parts as other', 'other.person_id', '=', 'own.person_id')
            ->whereIn('own.section_id', $sections)
            ->whereIn('own.role', $roles)
            ->whereIn('other.role', $roles)
            ->where(fn ($q) => $q->whereNull('own.ends_on')->orWhere('own.ends_on', '>=', $iso))
            ->where(fn ($q) => $q->whereNull('other.ends_on')->orWhere('other.ends_on', '>=', $iso));
        $taught = array_flip(
            $own(['teacher', 'co-teacher'])
                ->distinct()
                ->pluck('other.section_id')
                ->all(),
        );
        $shared = $own(['student'])
            ->groupBy('other.section_id')
            ->pluck(DB::raw('count(distinct own.person_id) as n'), 'other.section_id')
            ->all();
        $people = DB::table('parts')
            ->whereIn('section_id', $sections)
            ->whereIn('role', ['teacher', 'co-teacher'])
            ->pluck('person_id')
            ->all();
        $teachers = $students = [];
        $sessions = DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->when($but !== null, fn ($q) => $q->where('sessions.series_id', '!=', $but))
            ->where('state', 'planned')
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
                ->whereIn('section_id', array_unique([...array_keys($taught), ...array_keys($shared)]))
                ->get(),
            ...$people === [] ? [] : (clone $sessions)->whereIn('teacher_id', $people)->get(),
        ];
        foreach ($rows as $b) {
            // Somebody else takes it: the teacher is free then.
            if (
                $b->teacher_id === null ? isset($taught[$b->section_id]) : in_array($b->teacher_id, $people, true)
            ) {
                $teachers[(int) $b->n]["$b->id"] = [(int) $b->starts, (int) $b->ends];
            }
            if (isset($shared[$b->section_id])) {
                $students[(int) $b->n]["$b->id $b->section_id"] = [
                    (int) $b->starts,
                    (int) $b->ends,
                    (int) $shared[$b->section_id],
                ];
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
