<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\Meeting;
use Nomada\Core\Timetable\SessionState;

/** The series of a term with their planned sessions, and who comes to them: what clashes are searched in. */
final class Meetings
{
    /**
     * @param  list<int>|null  $near  sections; null for the whole term
     * @return array{list<Meeting>, array<int, list<Attendee>>} the meetings, and their rosters by key
     */
    public function of(Term $term, ?array $near = null): array
    {
        $rosters = $this->rosters($term, $near);
        $meetings = $this->meetings($term, $near, $rosters);

        return [$meetings, $rosters];
    }

    /** @return array<int, list<Attendee>> who attends, by section of a term */
    public function rostersOf(Term $term): array
    {
        return $this->rosters($term, null);
    }

    /**
     * Every series of these sections (or of the term) with its planned sessions. One that sections share, or some of
     * whose sessions another teacher takes, gets rosters of its own, with keys below zero.
     *
     * @param  list<int>|null  $near
     * @param  array<int, list<Attendee>>  $rosters
     * @return list<Meeting>
     */
    private function meetings(Term $term, ?array $near, array &$rosters): array
    {
        $calendar = $term->calendar();
        $offsets = $calendar->zone->offsets($calendar->first->day - 1, $calendar->last->day + 1);
        $rooms = DB::table('join_links')
            ->where('kind', 'series')
            ->whereNull('retired_at')
            ->whereNotNull('room')
            ->select('series_id', DB::raw('min(room) as room'))
            ->groupBy('series_id');
        $rows = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->leftJoinSub($rooms, 'rooms', 'rooms.series_id', '=', 'series.id')
            ->where('term_id', $term->id)
            ->where('state', SessionState::Planned)
            ->when(
                $near !== null,
                fn ($q) => $q->whereIn(
                    'series.id',
                    DB::table('series_sections')->whereIn('section_id', (array) $near)->select('series_id'),
                ),
            )
            ->groupBy(
                'series.id',
                'section_id',
                'teacher_id',
                'chosen',
                DB::raw('coalesce(sessions.host_account_id, series.host_account_id)'),
            )
            ->orderBy('series.id')
            ->orderByRaw('teacher_id nulls first')
            ->get([
                'series.id',
                'section_id',
                'teacher_id',
                'chosen',
                DB::raw('coalesce(sessions.host_account_id, series.host_account_id) as account'),
                DB::raw('min(room) as room'),
                DB::raw(
                    "string_agg((day - date '1970-01-01') || ' ' || extract(epoch from starts_at)::bigint || ' '
                        || extract(epoch from ends_at)::bigint, ',' order by starts_at) as list",
                ),
            ]);
        $shared = DB::table('series_sections')
            ->whereIn(
                'series_id',
                DB::table('series_sections')->groupBy('series_id')->havingRaw('count(*) > 1')->select('series_id'),
            )
            ->get()
            ->groupBy('series_id');
        $out = [];
        $key = 0;
        foreach ($rows as $row) {
            [$sessions, $earliest, $latest] = $this->sessions($row->list, $offsets);
            $sections = array_map(
                intval(...),
                $shared->get($row->id)?->pluck('section_id')->all() ?? [$row->section_id],
            );
            $roster = (int) $row->section_id;
            if (count($sections) > 1 || $row->teacher_id !== null || $row->chosen !== null) {
                $roster = --$key;
                $rosters[$roster] = $this->together(
                    array_values($sections),
                    $rosters,
                    $row->teacher_id === null ? null : (int) $row->teacher_id,
                    $row->chosen === null ? null : (array) json_decode($row->chosen, true),
                );
            }
            $out[] = new Meeting(
                (int) $row->id,
                (int) $row->section_id,
                $sessions,
                $earliest,
                $latest,
                $roster,
                $row->account === null ? null : (int) $row->account,
                $row->room,
                $row->teacher_id === null && $row->chosen === null,
            );
        }

        return $out;
    }

    /**
     * @param  array<int, int|null>  $offsets
     * @return array{list<array{int, int, int}>, int, int}
     */
    private function sessions(string $list, array $offsets): array
    {
        $sessions = [];
        $earliest = 1440;
        $latest = 0;
        foreach (explode(',', $list) as $one) {
            [$day, $start, $end] = array_map(intval(...), explode(' ', $one));
            $sessions[] = [$day, $start, $end];
            // On a day on which the clock changes, or past midnight, no bound is safe.
            $offset = $offsets[$day] ?? null;
            $from = $offset === null ? 0 : intdiv($start + $offset - $day * 86400, 60);
            $to = $offset === null ? 1440 : intdiv($end + $offset - $day * 86400 + 59, 60);
            [$earliest, $latest] = $from < 0 || $to > 1440 ? [0, 1440] : [min($earliest, $from), max($latest, $to)];
        }

        return [$sessions, $earliest, $latest];
    }

    /**
     * Everybody of several sections once; where another teacher takes the session, that one instead of theirs; where
     * it is for chosen students, those of them.
     *
     * @param  list<int>  $sections
     * @param  array<int, list<Attendee>>  $rosters
     * @param  array<mixed>|null  $chosen  ids
     * @return list<Attendee>
     */
    private function together(array $sections, array $rosters, ?int $teacher, ?array $chosen): array
    {
        $out = [];
        foreach ($sections as $section) {
            foreach ($rosters[$section] ?? [] as $attendee) {
                $isThere = $attendee->isTeacher
                    ? $teacher === null
                    : $chosen === null || in_array($attendee->person, $chosen, true);
                if ($isThere) {
                    $same = $out["$attendee->person $attendee->isTeacher"] ?? null;
                    // In two of the sections, somebody is there while they are in either.
                    $out["$attendee->person $attendee->isTeacher"] =
                        $same === null
                            ? $attendee
                            : new Attendee(
                                $attendee->person,
                                $attendee->isTeacher,
                                $same->from === null || $attendee->from === null
                                    ? null
                                    : min($same->from, $attendee->from),
                                $same->until === null || $attendee->until === null
                                    ? null
                                    : max($same->until, $attendee->until),
                                $attendee->zone,
                            );
                }
            }
        }
        if ($teacher !== null) {
            $out["$teacher 1"] = new Attendee($teacher, true);
        }

        return array_values($out);
    }

    /**
     * @param  array<mixed>|null  $near
     * @return array<int, list<Attendee>>
     */
    private function rosters(Term $term, ?array $near): array
    {
        // A section that shares a series brings its people with it.
        $near =
            $near === null
                ? null
                : [
                    ...$near,
                    ...DB::table('series_sections as a')
                        ->join('series_sections as b', 'b.series_id', '=', 'a.series_id')
                        ->whereIn('a.section_id', $near)
                        ->whereColumn('a.section_id', '!=', 'b.section_id')
                        ->pluck('b.section_id')
                        ->all(),
                ];
        $out = [];
        $day = fn (?string $iso): ?int => $iso === null ? null : LocalDate::parse($iso)->day;
        foreach (
            DB::table('memberships')
                ->join('people', 'people.id', '=', 'person_id')
                ->join('sections', 'sections.id', '=', 'section_id')
                ->where('term_id', $term->id)
                ->when($near !== null, fn ($q) => $q->whereIn('section_id', (array) $near))
                // Observers are optional: they are in nobody's way.
                ->whereIn('memberships.role', MembershipRole::ATTENDING)
                ->orderBy('memberships.id')
                ->get(['section_id', 'person_id', 'memberships.role', 'begins_on', 'ends_on', 'time_zone']) as $row
        ) {
            $out[(int) $row->section_id][] = new Attendee(
                (int) $row->person_id,
                $row->role !== MembershipRole::Student->value,
                $day($row->begins_on),
                $day($row->ends_on),
                $row->time_zone,
            );
        }

        return $out;
    }
}
