<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\HostAccounts;
use Nomada\App\Support\Locks;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\Clashes;
use Nomada\Core\Timetable\Meeting;
use Nomada\Core\Timetable\SessionState;

/**
 * Finds the clashes of a term again, for all of it or only for what a change of some sections touches: those sections
 * and anybody who shares a person with them. What was found is kept in the table `clashes`.
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
        $sections = $sections === null ? null : $this->withThoseThatShare($sections);
        DB::transaction(function () use ($term, $sections): void {
            Locks::timetable($term->id);
            $found = $this->find($term, $sections);
            DB::table('clashes')
                ->when(
                    $sections === null,
                    fn ($q) => $q->whereIn(
                        'section_id',
                        DB::table('sections')->where('term_id', $term->id)->select('id'),
                    ),
                    fn ($q) => $q
                        ->whereIn('section_id', (array) $sections)
                        ->orWhereIn('other_section_id', (array) $sections),
                )
                ->delete();
            foreach (array_chunk($found, 500) as $chunk) {
                DB::table('clashes')->insert(
                    array_map(
                        fn (Clash $c): array => [
                            'kind' => $c->kind,
                            'series_id' => $c->series[0],
                            'section_id' => $c->sections[0],
                            'other_series_id' => $c->series[1] ?? null,
                            'other_section_id' => $c->sections[1] ?? null,
                            'people' => json_encode($c->people),
                            'days' => json_encode($c->days),
                        ],
                        $chunk,
                    ),
                );
            }
        });
    }

    /**
     * @param  list<int>|null  $sections
     * @return list<Clash>
     */
    public function find(Term $term, ?array $sections = null): array
    {
        $near = $sections === null ? null : $this->near($sections);
        $rosters = $this->rosters($term, $near);
        $meetings = $this->meetings($term, $near, $rosters);
        $only = $sections === null ? null : array_fill_keys($sections, true);
        foreach ($only === null ? [] : $meetings as $meeting) {
            // A roster made for the purpose counts where its series is one of those sections'.
            if (isset($only[$meeting->section])) {
                $only[$meeting->roster] = true;
            }
        }

        return (new Clashes($meetings, $rosters, HostAccounts::all(), $term->calendar()))->find($only);
    }

    /**
     * The sections whose series these sections meet in: what is found is kept under a series' own section.
     *
     * @param  list<int>  $sections
     * @return list<int>
     */
    private function withThoseThatShare(array $sections): array
    {
        $own = DB::table('series')
            ->join('series_sections', 'series_id', '=', 'series.id')
            ->whereIn('series_sections.section_id', $sections)
            ->distinct()
            ->pluck('series.section_id')
            ->all();

        return array_values(array_unique([...$sections, ...array_map(intval(...), $own)]));
    }

    /**
     * The sections whose series may clash with these sections' series: those that have somebody in common with anybody
     * who comes to them (with the people of the sections that share them), that run on one of their host accounts or in
     * one of their rooms, and another teacher's own sections.
     *
     * @param  list<int>  $sections
     * @return list<int>
     */
    private function near(array $sections): array
    {
        $together = DB::table('series')
            ->join('series_sections', 'series_id', '=', 'series.id')
            ->whereIn('series.section_id', $sections)
            ->distinct()
            ->pluck('series_sections.section_id')
            ->all();
        $near = DB::table('memberships as a')
            ->join('memberships as b', 'b.person_id', '=', 'a.person_id')
            ->whereIn('a.section_id', [...$sections, ...$together])
            ->distinct()
            ->pluck('b.section_id')
            ->all();
        $byAccount = [
            ...$this->onSame(
                DB::table('sessions')
                    ->join('series', 'series.id', '=', 'series_id')
                    ->where('state', SessionState::Planned),
                'coalesce(sessions.host_account_id, series.host_account_id)',
                $sections,
            ),
            ...$this->onSame(
                DB::table('join_links')
                    ->join('series', 'series.id', '=', 'series_id')
                    ->where('kind', 'series')
                    ->whereNull('retired_at'),
                'room',
                $sections,
            ),
        ];
        // Other teachers of single sessions, anywhere: few.
        $others = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->whereNotNull('teacher_id')
            ->get(['teacher_id', 'section_id']);
        $byTeacher = $others->isEmpty()
            ? []
            : [
                ...$others->pluck('section_id')->all(),
                ...DB::table('memberships')
                    ->whereIn('person_id', $others->pluck('teacher_id'))
                    ->pluck('section_id')
                    ->all(),
            ];

        return array_values(
            array_unique(
                array_map(intval(...), [...$near, ...$sections, ...$together, ...$byAccount, ...$byTeacher]),
            ),
        );
    }

    /**
     * The sections of which a row has the same value, if any, as a row of one of these sections.
     *
     * @param  literal-string  $by  a column, or an expression
     * @param  list<int>  $sections
     * @return array<mixed>
     */
    private function onSame(Builder $rows, string $by, array $sections): array
    {
        $values = (clone $rows)
            ->whereIn('section_id', $sections)
            ->whereNotNull(DB::raw($by))
            ->distinct()
            ->pluck(DB::raw("$by as found"))
            ->all();

        return $values === []
            ? []
            : (clone $rows)->whereIn(DB::raw($by), $values)->distinct()->pluck('section_id')->all();
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
