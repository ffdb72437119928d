<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\PersonFeed;
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
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Term\Zone;

/**
 * A student's own page: the coming sessions on their own clock, their own links, and where else to look.
 *
 * @phpstan-type Coming array{day: string, time: string, end: string, school: string|null, name: string,
 *   teacher: string, topic: string|null, series: int, state: string, reason: string|null, starts: int, ends: int,
 *   doors: int, isToday: bool, isOpen: bool, isHidden: bool}
 */
final readonly class StudentPage
{
    public function __construct(private Clock $clock, private StandinAddress $standins)
    {
    }

    /** @return array<string, mixed> */
    public function data(Person $student, ?Term $term): array
    {
        $today = ($term?->calendar()->zone ?? $student->zone())->dateAt($this->clock->seconds())->iso();
        $sections = Section::query()
            ->when($term === null, fn ($q) => $q->whereRaw('false'))
            // This term's, and the next one's before it begins.
            ->whereHas('term', fn ($q) => $q->where('ends_on', '>=', $today))
            ->whereHas(
                'parts',
                fn ($q) => $q->where('person_id', $student->id)->where('role', 'student')->stillOn($today),
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

        return [
            'student' => $student,
            'term' => $term,
            'recordings' => ReleasedRecording::to($student, $ids),
            'zone' => $student->zone(),
            'school' => $term?->calendar()->zone,
            'now' => $this->clock->seconds(),
            'coming' => $term === null ? [] : $this->coming($student, $term, $ids, 40),
            'links' => $links->map(fn (JoinLink $l): string => $l->address())->all(),
            'places' => $sections
                ->map(
                    fn (Section $s): array => [
                        'name' => $s->name(),
                        'page' => $this->standins->coursePage($s, $student),
                        'stream' => $this->standins->stream($s, $student),
                    ],
                )
                ->all(),
            'calendar' => $this->standins->calendar($student),
            'post' => $this->standins->mailbox($student),
            'materials' => Materials::of($ids),
            'registrations' => $this->registrations($student, $ids),
            'feed' => PersonFeed::address($student),
            'rooms' => $this->rooms($student->zone(), $ids),
        ];
    }

    /**
     * The drop-in rooms of the student's sections, with the hours that hold or come next on their own clock.
     *
     * @param  array<int>  $sections
     * @return list<array{name: string, words: string, isOpen: bool, link: string}>
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
                $isOpen = $hours[0] <= $now;
                $out[] = [
                    'name' => "$room->name, {$room->section->name()}",
                    'words' => $isOpen
                        ? (string) __('me.open_until', ['time' => $zone->clock($hours[1])])
                        : Say::day($zone->dateAt($hours[0])).
                            " {$zone->clock($hours[0])}–{$zone->clock($hours[1])}",
                    'isOpen' => $isOpen,
                    'link' => $room->address(),
                ];
            }
        }

        return $out;
    }

    /**
     * Where the student registers, or has: of their own sections, and of any other where they did.
     *
     * @param  array<int>  $sections
     * @return list<array{series: int, name: string, words: string, tone: string, act: string}>
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
                ->map(function (\stdClass $r): array {
                    $states = explode(' ', (string) $r->states);
                    // Of several the one that something is still to be done about.
                    $state =
                        array_values(array_intersect(['waiting', 'queued', 'accepted', 'declined'], $states))[0] ??
                        'none';

                    return [
                        'series' => (int) $r->id,
                        'name' => ($r->year === '' ? '' : "Y$r->year ").$r->title,
                        'words' => (string) __("me.states.$state"),
                        'tone' => ['accepted' => 'ok', 'declined' => 'bad'][$state] ?? 'todo',
                        'act' => (string) __("me.acts.$state"),
                    ];
                })
                ->all(),
        );
    }

    /**
     * @param  list<int>  $sections
     * @return list<Coming>
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
                    ->from('parts')
                    ->where('parts.person_id', $person->id)
                    ->whereColumn('parts.section_id', 'sections.id')
                    ->whereRaw(
                        "sessions.day between coalesce(begins_on, '-infinity') and coalesce(ends_on, 'infinity')",
                    )
                    ->whereRaw('coalesce(session_id, sessions.id) = sessions.id')
                    ->whereRaw(
                        "(parts.role <> 'student' or sessions.chosen is null
                            or sessions.chosen @> to_jsonb(parts.person_id))",
                    )
                    // Whose session another teacher takes is absent from it.
                    ->whereRaw("(parts.role <> 'teacher' or sessions.teacher_id is null)"),
            )
            ->whereRaw('ends_at > to_timestamp(?)', [$now])
            ->where('state', '!=', 'lost')
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
                    "(select left(given_name, 1) || '. ' || family_name from people where people.id =
                        sessions.teacher_id) as other",
                ),
            ]);
        $teachers = Teachers::of(array_values(array_map(intval(...), $rows->pluck('section_id')->all())));

        return array_values(
            $rows
                ->unique('id')
                ->map(function (\stdClass $r) use ($own, $school, $now, $presets, $teachers): array {
                    $door = Presets::door($r->preset, $r->door, $presets, $r->own_door);
                    $opensBefore = 60 * $door->opensBefore;
                    $starts = (int) $r->starts;
                    $ends = (int) $r->ends;
                    $differs = $own->offsetAt($starts) !== $school->offsetAt($starts);

                    return [
                        'day' => Say::day($own->dateAt($starts)),
                        'time' => $own->clock($starts),
                        'end' => $own->clock($ends),
                        'school' => $differs ? $school->clock($starts).' '.$school->place() : null,
                        'name' => ($r->year === '' ? '' : "Y$r->year ").$r->title,
                        'teacher' => $r->other ?? ($teachers[$r->section_id] ?? ''),
                        'topic' => $r->topic,
                        'series' => (int) $r->series_id,
                        'state' => $r->state,
                        'reason' => $r->reason,
                        'starts' => $starts,
                        'ends' => $ends,
                        'doors' => $starts - $opensBefore,
                        'isToday' => $own->dateAt($starts)->day === $own->dateAt($now)->day,
                        'isOpen' => $now >= $starts - $opensBefore,
                        'isHidden' => $door->hiddenOutside && $now < $starts - $opensBefore,
                    ];
                })
                ->all(),
        );
    }
}
