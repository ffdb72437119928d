<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Me;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PersonFeed;
use Nomada\App\Actions\Recording\PlayRecording;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\Publishing\Materials;
use Nomada\App\View\Recording\ReleasedRecording;
use Nomada\App\View\StandinAddress;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SessionState;

/** Looks up a student's own page, and the coming sessions of anybody. */
final readonly class MeQuery
{
    /** How many coming sessions are listed. */
    private const COMING = 40;

    public function __construct(
        private Clock $clock,
        private StandinAddress $standins,
        private PlayRecording $play,
    ) {
    }

    public function page(Person $student, ?Term $term): MePage
    {
        $today = ($term?->calendar()->zone ?? $student->zone())->dateAt($this->clock->seconds())->iso();
        $sections = Section::query()
            ->when($term === null, fn ($q) => $q->whereRaw('false'))
            // This term's, and the next one's before it begins.
            ->whereHas('term', fn ($q) => $q->where('ends_on', '>=', $today))
            ->whereHas(
                'memberships',
                fn ($q) => $q
                    ->where('person_id', $student->id)
                    ->where('role', MembershipRole::Student)
                    ->stillOn($today),
            )
            ->orderBy('title')
            ->get();
        $links = JoinLink::query()
            ->inForce()
            ->where('kind', LinkKind::Personal)
            ->where('person_id', $student->id)
            ->get()
            ->keyBy('series_id');

        $ids = array_values($sections->modelKeys());

        $zone = $student->zone();
        $school = $term?->calendar()->zone;

        return new MePage(
            $student,
            Say::place($zone),
            $school === null || $school->name === $zone->name ? '' : Say::place($school),
            $term === null ? [] : $this->coming($student, $term, $ids, self::COMING),
            $links->map(fn (JoinLink $l): string => $l->address())->all(),
            $this->rooms($zone, $ids),
            Materials::of($ids),
            $this->registrations($student, $ids),
            ReleasedRecording::to(
                $student,
                $ids,
                $this->play->watched(
                    array_values(
                        array_map(
                            intval(...),
                            DB::table('series_sections')
                                ->whereIn('section_id', $ids)
                                ->distinct()
                                ->pluck('series_id')
                                ->all(),
                        ),
                    ),
                    $student,
                ),
            ),
            array_values(
                $sections
                    ->map(
                        fn (Section $s): SectionLinks => new SectionLinks(
                            $s->name(),
                            $this->standins->coursePage($s, $student),
                            $this->standins->stream($s, $student),
                        ),
                    )
                    ->all(),
            ),
            $this->standins->calendar($student),
            $this->standins->mailbox($student),
            PersonFeed::address($student),
        );
    }

    /**
     * The drop-in rooms of the student's sections, with the hours that hold or come next on their own clock.
     *
     * @param  array<int>  $sections
     * @return list<RoomLine>
     */
    private function rooms(Zone $zone, array $sections): array
    {
        $now = $this->clock->seconds();
        $out = [];
        foreach (
            DropInRoom::query()
                ->whereIn('section_id', $sections)
                ->where('is_hidden', false)
                ->with(['section.term.school', 'section.term.closures'])
                ->orderBy('name')
                ->get() as $room
        ) {
            $hours = $room->openHours()->at($room->section->term->calendar(), $now);
            if ($hours !== null) {
                $out[] = new RoomLine(
                    "$room->name, {$room->section->name()}",
                    Say::day($zone->dateAt($hours[0]))." {$zone->clock($hours[0])}–{$zone->clock($hours[1])}",
                    $hours[0] <= $now ? $zone->clock($hours[1]) : null,
                    $room->address(),
                );
            }
        }

        return $out;
    }

    /**
     * Where the student registers, or has: of their own sections, and of any other where they did.
     *
     * @param  array<int>  $sections
     * @return list<RegistrationLine>
     */
    private function registrations(Person $student, array $sections): array
    {
        $rows = DB::table('series')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->whereNotNull('registering')
            ->where(
                fn ($q) => $q
                    ->whereIn('section_id', $sections)
                    ->orWhereIn(
                        'series.id',
                        DB::table('registrations')->where('person_id', $student->id)->select('series_id'),
                    ),
            )
            ->orderBy('sections.title')
            ->get([
                'series.id',
                'sections.title',
                'sections.year',
                DB::raw(
                    "(select array_to_string(array_agg(distinct state), ' ') from registrations r where
                        r.series_id = series.id and r.person_id = $student->id and state <> 'withdrawn') as states",
                ),
            ]);

        return array_values(
            $rows
                ->map(function (\stdClass $r): RegistrationLine {
                    $states = explode(' ', (string) $r->states);
                    // Of several the one that something is still to be done about.
                    $state =
                        array_values(
                            array_filter(
                                [...RegistrationState::CURRENT, RegistrationState::Declined],
                                fn (RegistrationState $s): bool => in_array($s->value, $states, true),
                            ),
                        )[0] ?? null;

                    return new RegistrationLine((int) $r->id, Section::called($r->year, $r->title), $state);
                })
                ->all(),
        );
    }

    /**
     * @param  list<int>  $sections
     * @return list<ComingSession>
     */
    public function coming(Person $person, Term $term, array $sections, int $most): array
    {
        $now = $this->clock->seconds();
        $own = $person->zone();
        $school = $term->calendar()->zone;
        $presets = Presets::all();
        $rows = DB::table('sessions')
            ->join('series', 'series.id', '=', 'sessions.series_id')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->join('sections', 'sections.id', '=', 'series_sections.section_id')
            ->whereIn('sections.id', $sections)
            ->whereExists(
                fn ($q) => $q
                    ->from('memberships')
                    ->where('memberships.person_id', $person->id)
                    ->whereColumn('memberships.section_id', 'sections.id')
                    ->whereRaw(
                        "sessions.day between coalesce(begins_on, '-infinity') and coalesce(ends_on, 'infinity')",
                    )
                    ->whereRaw('coalesce(session_id, sessions.id) = sessions.id')
                    ->whereRaw(
                        "(memberships.role <> 'student' or sessions.chosen is null
                            or sessions.chosen @> to_jsonb(memberships.person_id))",
                    )
                    // Whose session another teacher takes is absent from it.
                    ->whereRaw("(memberships.role <> 'teacher' or sessions.teacher_id is null)"),
            )
            ->whereRaw('ends_at > to_timestamp(?)', [$now])
            ->where('state', '!=', SessionState::Lost)
            ->orderBy('starts_at')
            ->limit($most)
            ->get([
                DB::raw('extract(epoch from starts_at)::bigint as starts'),
                DB::raw('extract(epoch from ends_at)::bigint as ends'),
                'state',
                'reason',
                'sessions.series_id',
                'sessions.id',
                'sections.title',
                'sections.year',
                'series_sections.section_id',
                'preset',
                'series.door',
                'sessions.door as own_door',
                DB::raw('coalesce(sessions.title, sessions.topic) as topic'),
                DB::raw(
                    "exists (select from join_links l where l.series_id = sessions.series_id and retired_at is null
                        and is_hidden and (l.kind = 'series' or l.person_id = $person->id)) as hidden",
                ),
                DB::raw(
                    "(select left(given_name, 1) || '. ' || family_name from people where people.id =
                        sessions.teacher_id) as other",
                ),
            ]);
        $teachers = Teachers::of(array_values(array_map(intval(...), $rows->pluck('section_id')->all())));

        return array_values(
            $rows
                ->unique('id')
                ->map(function (\stdClass $r) use ($own, $school, $now, $presets, $teachers): ComingSession {
                    $door = Presets::door($r->preset, $r->door, $presets, $r->own_door);
                    $starts = (int) $r->starts;
                    $opens = $starts - 60 * $door->opensBefore;
                    $differs = $own->offsetAt($starts) !== $school->offsetAt($starts);

                    return new ComingSession(
                        Say::day($own->dateAt($starts)),
                        $own->clock($starts),
                        $own->clock((int) $r->ends),
                        $differs ? $school->clock($starts).' '.Say::place($school) : null,
                        Section::called($r->year, $r->title),
                        $r->other ?? ($teachers[$r->section_id] ?? ''),
                        $r->topic,
                        (int) $r->series_id,
                        SessionState::from($r->state),
                        $r->reason === null ? null : Say::because($r->reason),
                        $starts,
                        $own->clock($opens),
                        $own->dateAt($starts)->day === $own->dateAt($now)->day,
                        $now >= $opens,
                        $door->hiddenOutside && $now < $opens,
                        (bool) $r->hidden,
                    );
                })
                ->all(),
        );
    }
}
