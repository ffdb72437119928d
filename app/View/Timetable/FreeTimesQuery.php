<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\FreeTimes;

/**
 * Other times for the coming sessions of a series, or for one that was lost. Whoever leaves one of the two sections before the day
 * that is asked about does not count; whoever leaves later counts to the end, as a careful coordinator would plan it.
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
        $from ??= $series->section->term->calendar()->zone->dateAt($now);
        $days = array_values(array_map(intval(...), DB::table('sessions')->where('series_id', $series->id)->where('state', 'planned')->where('day', '>=', $from->iso())->whereRaw('starts_at > to_timestamp(?)', [$now])
            ->orderBy('day')->pluck(DB::raw("(day - date '1970-01-01') as n"))->all()));

        return $this->free($series, $from)->forSeries($days, $series->start_minute, $series->minutes, $most, $series->pattern['kind'] === 'weekly');
    }

    /**
     * Times on which a session of a day could be made up, from two weeks before it to three weeks behind it and never in the past.
     *
     * @return list<FreeTime>
     */
    public function forOne(Series $series, LocalDate $day, int $most = 6): array
    {
        $today = $series->section->term->calendar()->zone->dateAt($this->clock->seconds());
        $first = new LocalDate(max($today->day + 1, $day->day - 14));

        return $this->free($series, $first)->forOne($day->day, $first->day, max($first->day, $day->day) + 21, $series->start_minute, $series->minutes, $most);
    }

    private function free(Series $series, LocalDate $from): FreeTimes
    {
        $section = $series->section_id;
        $iso = $from->iso();
        $own = fn (array $roles) => DB::table('enrolments as own')->join('enrolments as other', 'other.person_id', '=', 'own.person_id')->where('own.section_id', $section)
            ->whereIn('own.role', $roles)->whereIn('other.role', $roles)
            ->where(fn ($q) => $q->whereNull('own.ends_on')->orWhere('own.ends_on', '>=', $iso))->where(fn ($q) => $q->whereNull('other.ends_on')->orWhere('other.ends_on', '>=', $iso));
        $taught = $own(['teacher', 'co-teacher'])->distinct()->pluck('other.section_id')->all();
        $shared = $own(['student'])->groupBy('other.section_id')->pluck(DB::raw('count(distinct own.person_id) as n'), 'other.section_id')->all();
        $teachers = $students = [];
        $busy = DB::table('sessions')->join('series', 'series.id', '=', 'series_id')->whereIn('section_id', array_unique([...$taught, ...array_keys($shared)]))->where('series.id', '!=', $series->id)
            ->where('state', 'planned')->where('day', '>=', $from->plus(-7)->iso())
            ->get(['section_id', DB::raw("(day - date '1970-01-01') as n"), DB::raw('extract(epoch from starts_at)::bigint as starts'), DB::raw('extract(epoch from ends_at)::bigint as ends')]);
        $taught = array_flip($taught);
        foreach ($busy as $b) {
            if (isset($taught[$b->section_id])) {
                $teachers[(int) $b->n][] = [(int) $b->starts, (int) $b->ends];
            }
            if (isset($shared[$b->section_id])) {
                $students[(int) $b->n][] = [(int) $b->starts, (int) $b->ends, (int) $shared[$b->section_id]];
            }
        }
        $zones = DB::table('enrolments')->join('people', 'people.id', '=', 'person_id')->where('section_id', $section)->where('enrolments.role', 'student')->groupBy('time_zone')->pluck(DB::raw('count(*) as n'), 'time_zone')->map(fn (mixed $n): int => (int) $n)->all();

        return new FreeTimes($series->section->term->calendar(), $teachers, $students, $zones, Zone::named($series->time_zone));
    }
}
