<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\Clashes;
use Nomada\Core\Timetable\Meeting;

/**
 * Finds the clashes of a term anew, for all of it or only for what a change of some sections touches: those sections and
 * whoever shares a person with them. What was found is kept in the table `clashes`.
 */
final class RefreshClashes
{
    /**
     * @param  list<int>|null  $sections  null for the whole term
     */
    public function __invoke(Term $term, ?array $sections = null): void
    {
        if ($sections === []) {
            return;
        }
        $found = $this->find($term, $sections);
        DB::transaction(function () use ($term, $sections, $found): void {
            DB::table('clashes')->when($sections === null,
                fn ($q) => $q->whereIn('section_id', DB::table('sections')->where('term_id', $term->id)->select('id')),
                fn ($q) => $q->whereIn('section_id', (array) $sections)->orWhereIn('other_section_id', (array) $sections))->delete();
            foreach (array_chunk($found, 500) as $chunk) {
                DB::table('clashes')->insert(array_map(fn (Clash $c): array => [
                    'kind' => $c->kind, 'series_id' => $c->series[0], 'section_id' => $c->sections[0], 'other_series_id' => $c->series[1] ?? null, 'other_section_id' => $c->sections[1] ?? null,
                    'people' => json_encode($c->people), 'days' => json_encode($c->days),
                ], $chunk));
            }
        });
    }

    /**
     * @param  list<int>|null  $sections
     * @return list<Clash>
     */
    public function find(Term $term, ?array $sections = null): array
    {
        $near = $sections === null ? null : DB::table('enrolments as a')->join('enrolments as b', 'b.person_id', '=', 'a.person_id')->whereIn('a.section_id', $sections)->distinct()->pluck('b.section_id')->all();

        return (new Clashes($this->meetings($term, $near), $this->rosters($term, $near)))->find($sections === null ? null : array_fill_keys($sections, true));
    }

    /**
     * @param  array<mixed>|null  $near
     * @return list<Meeting>
     */
    private function meetings(Term $term, ?array $near): array
    {
        $calendar = $term->calendar();
        $offsets = $calendar->zone->offsets($calendar->first->day - 1, $calendar->last->day + 1);
        $rows = DB::table('sessions')->join('series', 'series.id', '=', 'series_id')->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)->where('state', 'planned')->when($near !== null, fn ($q) => $q->whereIn('section_id', (array) $near))
            ->groupBy('series.id', 'section_id')->orderBy('series.id')
            ->get(['series.id', 'section_id', DB::raw("string_agg((day - date '1970-01-01') || ' ' || extract(epoch from starts_at)::bigint || ' ' || extract(epoch from ends_at)::bigint, ',' order by starts_at) as list")]);
        $out = [];
        foreach ($rows as $row) {
            $sessions = [];
            $earliest = 1440;
            $latest = 0;
            foreach (explode(',', $row->list) as $one) {
                [$day, $start, $end] = array_map(intval(...), explode(' ', $one));
                $sessions[] = [$day, $start, $end];
                // On a day on which the clock changes, or past midnight, no bound is safe.
                $offset = $offsets[$day] ?? null;
                $from = $offset === null ? 0 : intdiv($start + $offset - $day * 86400, 60);
                $to = $offset === null ? 1440 : intdiv($end + $offset - $day * 86400 + 59, 60);
                [$earliest, $latest] = $from < 0 || $to > 1440 ? [0, 1440] : [min($earliest, $from), max($latest, $to)];
            }
            $out[] = new Meeting((int) $row->id, (int) $row->section_id, $sessions, $earliest, $latest);
        }

        return $out;
    }

    /**
     * @param  array<mixed>|null  $near
     * @return array<int, list<Attendee>>
     */
    private function rosters(Term $term, ?array $near): array
    {
        $out = [];
        $day = fn (?string $iso): ?int => $iso === null ? null : LocalDate::parse($iso)->day;
        foreach (DB::table('enrolments')->join('people', 'people.id', '=', 'person_id')->join('sections', 'sections.id', '=', 'section_id')->where('term_id', $term->id)->when($near !== null, fn ($q) => $q->whereIn('section_id', (array) $near))
            // Observers are optional: they are in nobody's way.
            ->whereIn('enrolments.role', ['student', 'teacher', 'co-teacher'])->orderBy('enrolments.id')
            ->get(['section_id', 'person_id', 'enrolments.role', 'begins_on', 'ends_on', 'time_zone']) as $row) {
            $out[(int) $row->section_id][] = new Attendee((int) $row->person_id, $row->role !== 'student', $day($row->begins_on), $day($row->ends_on), $row->time_zone);
        }

        return $out;
    }
}
