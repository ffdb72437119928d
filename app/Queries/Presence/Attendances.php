<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Presence;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Queries\Belongings;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Presence\Attendance;
use Nomada\Core\Presence\AttendanceRules;
use Nomada\Core\Presence\Correction;
use Nomada\Core\Presence\Intervals;
use Nomada\Core\Presence\PresenceEvent;
use Nomada\Core\Presence\Status;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/** Reads what was told of sessions, and has core work out who was there. */
final readonly class Attendances
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * One section's sessions that have begun; of those that it shares with others its own students only.
     *
     * @param  list<int>|null  $only  ids of sessions; null for all
     */
    public function ofSection(int $section, ?array $only = null): AttendanceTable
    {
        return $this->ofSections([$section], $only)[$section];
    }

    /**
     * Many sections' in as many questions as one's.
     *
     * @param  list<int>  $sections
     * @param  list<int>|null  $only  ids of sessions; null for all
     * @param  bool  $guests  whether guests are counted too
     * @return array<int, AttendanceTable> by section
     */
    public function ofSections(array $sections, ?array $only = null, bool $guests = true): array
    {
        $meets = [];
        foreach (
            DB::table('series_sections')
                ->whereIntegerInRaw('section_id', $sections)
                ->get(['section_id', 'series_id']) as $r
        ) {
            $meets[(int) $r->section_id][(int) $r->series_id] = true;
        }
        $sessions = $this->sessions(collect(array_keys(array_replace([], ...array_values($meets)))), $only);
        $told = $this->told($sessions);
        $corrections = $this->corrections($sessions);
        $inside = $guests ? $this->guests($sessions) : [];
        [$pupils, $days] = $this->pupils($sections);
        $excused = $this->excused(array_keys(array_replace([], ...array_values($pupils))));
        $rules = $this->rules();
        $out = [];
        foreach ($sections as $section) {
            $own = array_values(
                array_filter($sessions, fn (HeldSession $s): bool => isset($meets[$section][$s->series])),
            );
            $cells = [];
            foreach ($own as $session) {
                $day = $session->day->iso();
                foreach ($session->isTold ? $pupils[$section] ?? [] : [] as $pupil) {
                    if ($session->isFor($pupil->id) && self::isWithin($days[$section][$pupil->id], $day)) {
                        $cells[$session->id][$pupil->id] = Attendance::of(
                            $told[$session->id][$pupil->id] ?? [],
                            $session->start,
                            $session->end,
                            $rules,
                        )->with(
                            $corrections[$session->id][$pupil->id] ?? null,
                            self::isWithin($excused[$pupil->id] ?? [], $day),
                        );
                    }
                }
            }
            $shown = array_filter(
                $pupils[$section] ?? [],
                fn (Pupil $p): bool => $only === null ||
                    array_filter($cells, fn (array $c): bool => isset($c[$p->id])) !== [],
            );
            $out[$section] = new AttendanceTable($own, array_values($shown), $cells, $inside);
        }

        return $out;
    }

    /**
     * Everybody who is or was on the rosters, and on which days.
     *
     * @param  list<int>  $sections
     * @return array{array<int, array<int, Pupil>>, array<int, array<int, list<array{string, string}>>>} by section and
     *   person
     */
    private function pupils(array $sections): array
    {
        $pupils = $days = [];
        foreach (
            DB::table('memberships')
                ->join('people', 'people.id', '=', 'person_id')
                ->whereIntegerInRaw('section_id', $sections)
                ->where('memberships.role', MembershipRole::Student)
                ->orderBy('family_name')
                ->orderBy('given_name')
                ->orderBy('people.id')
                ->get([
                    'section_id',
                    'people.id',
                    'people.sourced_id',
                    'given_name',
                    'family_name',
                    'memberships.begins_on',
                    'memberships.ends_on',
                ]) as $p
        ) {
            $pupils[(int) $p->section_id][(int) $p->id] ??= new Pupil(
                (int) $p->id,
                $p->sourced_id,
                trim("$p->given_name $p->family_name"),
            );
            $days[(int) $p->section_id][(int) $p->id][] = [
                (string) $p->begins_on,
                (string) ($p->ends_on ?? '9999'),
            ];
        }

        return [$pupils, $days];
    }

    /**
     * One student over all sections that they are or were in.
     *
     * @return array<int, array{HeldSession, Attendance, int}> by session: with the section that it counts for
     */
    public function ofPerson(int $person): array
    {
        $parts = DB::table('memberships')
            ->join('series_sections', 'series_sections.section_id', '=', 'memberships.section_id')
            ->where('person_id', $person)
            ->where('role', MembershipRole::Student)
            ->get(['series_sections.series_id', 'memberships.section_id', 'begins_on', 'ends_on']);
        $sessions = $this->sessions($parts->pluck('series_id')->unique(), null);
        $told = $this->told($sessions, $person);
        $corrections = $this->corrections($sessions, $person);
        $excused = $this->excused([$person]);
        $rules = $this->rules();
        $out = [];
        foreach ($sessions as $session) {
            $day = $session->day->iso();
            $part = $parts->first(
                fn (stdClass $p): bool => (int) $p->series_id === $session->series &&
                    $day >= (string) $p->begins_on &&
                    ($p->ends_on === null || $day <= $p->ends_on),
            );
            if ($part !== null && $session->isTold && $session->isFor($person)) {
                $out[$session->id] = [
                    $session,
                    Attendance::of(
                        $told[$session->id][$person] ?? [],
                        $session->start,
                        $session->end,
                        $rules,
                    )->with(
                        $corrections[$session->id][$person] ?? null,
                        self::isWithin($excused[$person] ?? [], $day),
                    ),
                    (int) $part->section_id,
                ];
            }
        }

        return $out;
    }

    /**
     * Who was inside a session at any moment, by what is kept of it.
     *
     * @return list<string> sourcedIds
     */
    public static function came(int $session): array
    {
        return array_values(
            DB::table('presence_events')
                ->where(['session_id' => $session, 'is_join' => true])
                ->distinct()
                ->pluck('who')
                ->all(),
        );
    }

    public function rules(): AttendanceRules
    {
        return AttendanceRules::from(
            (array) json_decode((string) DB::table('schools')->orderBy('id')->value('attendance'), true),
        );
    }

    /**
     * @param  Collection<int, mixed>  $series
     * @param  list<int>|null  $only
     * @return list<HeldSession>
     */
    private function sessions(Collection $series, ?array $only): array
    {
        $now = $this->clock->seconds();

        return array_values(
            DB::table('sessions')
                ->leftJoin('presence_reads', 'presence_reads.session_id', '=', 'sessions.id')
                ->whereIn('series_id', $series)
                ->where('state', SessionState::Planned)
                ->where('starts_at', '<=', gmdate('Y-m-d H:i:sP', $now))
                ->when($only !== null, fn ($q) => $q->whereIn('sessions.id', $only ?? []))
                ->orderBy('starts_at')
                ->orderBy('sessions.id')
                ->get([
                    'sessions.id',
                    'series_id',
                    'day',
                    'teacher_id',
                    'chosen',
                    DB::raw("coalesce(title, topic, '') as topic"),
                    DB::raw('extract(epoch from starts_at)::bigint as s'),
                    DB::raw('extract(epoch from ends_at)::bigint as e'),
                    DB::raw('extract(epoch from ended_at)::bigint as ended'),
                    DB::raw('exists (select 1 from presence_events v where v.session_id = sessions.id) as told'),
                ])
                ->map(
                    fn (stdClass $r): HeldSession => new HeldSession(
                        (int) $r->id,
                        (int) $r->series_id,
                        LocalDate::parse($r->day),
                        (int) $r->s,
                        // Ended before it began: somebody ended the wait, not the lesson.
                        min((int) $r->e, $now, (int) $r->ended > (int) $r->s ? (int) $r->ended : PHP_INT_MAX),
                        (int) $r->e,
                        $r->teacher_id === null ? null : (int) $r->teacher_id,
                        $r->topic,
                        (bool) $r->told,
                        $now < (int) $r->e && $r->ended === null,
                        $r->chosen === null
                            ? null
                            : array_values(array_map(intval(...), (array) json_decode($r->chosen, true))),
                    ),
                )
                ->all(),
        );
    }

    /**
     * Who was there before the start, and when.
     *
     * @param  int  $lead  seconds that are looked at
     * @return array<int, list<array{int, int}>> UTC seconds by person
     */
    public function early(HeldSession $session, int $lead): array
    {
        return array_filter(
            array_map(
                fn (array $told): array => Intervals::early($told, $session->start - $lead, $session->start),
                $this->told([$session])[$session->id] ?? [],
            ),
            fn (array $early): bool => $early !== [],
        );
    }

    /**
     * @param  list<HeldSession>  $sessions
     * @return array<int, array<int, list<PresenceEvent>>> by session and person
     */
    private function told(array $sessions, ?int $person = null): array
    {
        $out = [];
        foreach (
            DB::table('presence_events')
                ->whereIntegerInRaw('session_id', array_map(fn (HeldSession $s): int => $s->id, $sessions))
                ->when(
                    $person === null,
                    fn ($q) => $q->whereNotNull('person_id'),
                    fn ($q) => $q->where('person_id', $person),
                )
                ->get([
                    'session_id',
                    'person_id',
                    'is_join',
                    'device',
                    DB::raw('extract(epoch from at)::bigint as s'),
                ]) as $r
        ) {
            $out[(int) $r->session_id][(int) $r->person_id][] = new PresenceEvent((int) $r->s, $r->is_join, $r->device);
        }

        return $out;
    }

    /**
     * @param  list<HeldSession>  $sessions
     * @return array<int, array<int, Correction>> by session and person
     */
    private function corrections(array $sessions, ?int $person = null): array
    {
        $out = [];
        foreach (
            DB::table('attendance_corrections')
                ->leftJoin('people', 'people.id', '=', 'by_id')
                ->whereIntegerInRaw('session_id', array_map(fn (HeldSession $s): int => $s->id, $sessions))
                ->when($person !== null, fn ($q) => $q->where('person_id', $person))
                ->get(['session_id', 'person_id', 'status', 'minutes', 'why', 'given_name', 'family_name']) as $r
        ) {
            $out[(int) $r->session_id][(int) $r->person_id] = new Correction(
                Status::from($r->status),
                $r->minutes,
                $r->why,
                trim("$r->given_name $r->family_name"),
            );
        }

        return $out;
    }

    /**
     * Absences that were told in advance.
     *
     * @param  list<int>  $people
     * @return array<int, list<array{string, string}>> first and last days, by person
     */
    private function excused(array $people): array
    {
        $out = [];
        foreach (
            DB::table('reported_absences')
                ->whereIntegerInRaw('person_id', $people)
                ->get(['person_id', 'from_day', 'to_day']) as $r
        ) {
            $out[(int) $r->person_id][] = [(string) $r->from_day, (string) $r->to_day];
        }

        return $out;
    }

    /** @param  list<array{string, string}>  $spans  first and last days, ISO */
    private static function isWithin(array $spans, string $day): bool
    {
        foreach ($spans as [$from, $to]) {
            if ($day >= $from && $day <= $to) {
                return true;
            }
        }

        return false;
    }

    /**
     * Guests and observers who were inside; anybody who studies or teaches in the series on that day is none.
     *
     * @param  list<HeldSession>  $sessions
     * @return array<int, int> by session
     */
    private function guests(array $sessions): array
    {
        $of = Belongings::ofSeries(
            array_values(array_unique(array_map(fn (HeldSession $s): int => $s->series, $sessions))),
        );
        $inside = DB::table('presence_events')
            ->leftJoin('people', 'people.id', '=', 'person_id')
            ->whereIntegerInRaw('session_id', array_map(fn (HeldSession $s): int => $s->id, $sessions))
            ->where('is_join', true)
            ->distinct()
            ->get(['session_id', 'who', 'sourced_id'])
            ->groupBy('session_id');
        $out = [];
        foreach ($sessions as $session) {
            $n = 0;
            foreach ($inside[$session->id] ?? [] as $r) {
                $standing = ($of[$session->series][(string) $r->sourced_id] ?? null)?->on(
                    $session->day->day,
                    $session->substitute,
                    $session->chosen,
                );
                $n += in_array($standing, [SessionRole::Student, SessionRole::Host, SessionRole::Absent], true) ? 0 : 1;
            }
            $out[$session->id] = $n;
        }

        return $out;
    }
}
