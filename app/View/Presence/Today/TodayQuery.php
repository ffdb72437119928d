<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\MembershipRow;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presets;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\App\View\Requests\RequestList;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Fault;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SessionState;

/** Looks up a day's sessions. */
final readonly class TodayQuery
{
    public function __construct(private Clock $clock)
    {
    }

    /** @param  string  $typed  a date; of anything else, today's */
    public function page(Term $term, Person $for, string $typed): TodayPage
    {
        $zone = $term->calendar()->zone;
        $now = $this->clock->seconds();
        try {
            $date = $typed === '' ? $zone->dateAt($now) : LocalDate::parse($typed);
        } catch (Fault) {
            $date = $zone->dateAt($now);
        }
        $presets = Presets::all();
        $registered = Registered::on('r', $date);
        $rows = DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->where('day', $date->iso())
            ->where(
                fn ($q) => $q
                    ->whereIn(
                        'series.id',
                        DB::table('series_sections')
                            ->whereIn('section_id', $this->own($for, $date->iso()))
                            ->select('series_id'),
                    )
                    ->when(! $for->isCoordinator(), fn ($w) => $w->orWhere('teacher_id', $for->id)),
            )
            ->orderBy('starts_at')
            ->orderBy('sections.id')
            ->get([
                DB::raw('extract(epoch from starts_at)::bigint as starts'),
                DB::raw('extract(epoch from ends_at)::bigint as ends'),
                'state',
                'reason',
                'sections.title',
                'sections.year',
                'sections.sourced_id',
                'section_id',
                DB::raw(
                    "(select count(*) from registrations r where r.series_id = series.id and $registered
                        and (r.only_day is null or r.only_day = sessions.day)) as registered",
                ),
                'sessions.id',
                DB::raw(
                    '(select 1 from presence_reads p where p.session_id = sessions.id and p.ended_at is not null)
                        as ended',
                ),
                // Inside are those whose last event is a join.
                DB::raw(
                    "(select json_build_array(count(*) filter (where role = 'student'), count(*) filter (where role <>
                            'student'))
                        from (select distinct on (who) is_join, person_id from presence_events e
                            where e.session_id = sessions.id order by who, at desc, is_join) as last
                        join people on people.id = person_id where is_join) as inside",
                ),
                DB::raw(
                    '(select sum(present + late + partial) from session_sums where session_id = sessions.id)
                        as attended',
                ),
                'series.id as series',
                'teacher_id',
                'preset',
                'series.door',
                'sessions.door as own_door',
                DB::raw('coalesce(sessions.title, sessions.topic) as topic'),
                DB::raw(
                    "(select left(given_name, 1) || '. ' || family_name from people where people.id =
                        sessions.teacher_id) as other",
                ),
                DB::raw('(select count(*) - 1 from series_sections x where x.series_id = series.id) as others'),
                DB::raw(
                    "exists (select 1 from join_links l where l.series_id = series.id and l.kind = 'series' and
                        l.retired_at is null and room <> '') as linked",
                ),
                DB::raw(
                    "exists (select 1 from join_links l where l.series_id = series.id and l.kind = 'series' and
                        l.retired_at is null and is_hidden) as hidden",
                ),
            ]);
        $teachers = Teachers::of(array_values(array_map(intval(...), $rows->pluck('section_id')->all())));
        $doors = $rows
            ->map(fn (\stdClass $s): DoorRules => Presets::door($s->preset, $s->door, $presets, $s->own_door))
            ->all();
        $axis = DayAxis::over(
            array_values(
                $rows
                    ->map(
                        fn (\stdClass $s, int $i): array => [
                            $s->starts - 60 * $doors[$i]->opensBefore,
                            (int) $s->ends,
                        ],
                    )
                    ->all(),
            ),
        );
        $hosted = $this->hosted($for, $date->iso());

        return new TodayPage(
            $date,
            $date->day === $zone->dateAt($now)->day,
            Say::place($zone),
            $term->calendar()->isOpen($date->day)
                ? null
                : Say::because($term->calendar()->closedBecause($date->day)),
            array_values(
                $rows
                    ->map(
                        fn (\stdClass $s, int $i): TodayRow => $this->row(
                            $s,
                            $now,
                            $doors[$i],
                            $zone,
                            $s->other ?? ($teachers[$s->section_id] ?? ''),
                            $axis,
                            $s->teacher_id === null ? isset($hosted[$s->series]) : $s->teacher_id === $for->id,
                        ),
                    )
                    ->all(),
            ),
            $axis->hours($zone),
            $axis->holds($now) && $date->day === $zone->dateAt($now)->day ? $axis->x($now) : null,
            Section::query()
                ->where('term_id', $term->id)
                ->servedBy($for)
                ->orderBy('title')
                ->toBase()
                ->get(['sourced_id', 'year', 'title'])
                ->mapWithKeys(
                    fn (\stdClass $s): array => [(string) $s->sourced_id => Section::called($s->year, $s->title)],
                )
                ->all(),
            $for->isCoordinator() ? RequestList::waiting($term) : 0,
        );
    }

    private function row(
        \stdClass $s,
        int $now,
        DoorRules $door,
        Zone $zone,
        string $teacher,
        DayAxis $axis,
        bool $isTheirs,
    ): TodayRow {
        $starts = (int) $s->starts;
        $ends = (int) $s->ends;
        $isPlanned = $s->state === SessionState::Planned->value;
        $opens = $starts - 60 * $door->opensBefore;
        $doors = match (true) {
            ! $isPlanned => DoorState::NotHeld,
            ! $s->linked => DoorState::NoLink,
            $now >= $ends => DoorState::Over,
            $s->ended !== null => DoorState::Ended,
            $s->hidden => DoorState::Hidden,
            $now >= $starts => DoorState::Running,
            $now >= $opens => DoorState::Open,
            default => DoorState::Shut,
        };
        [$students, $staff] = (array) json_decode((string) $s->inside, true) + [0, 0];
        $isNow = in_array($doors, [DoorState::Running, DoorState::Open], true);
        $here = match (true) {
            $isNow => (int) $students,
            in_array($doors, [DoorState::Over, DoorState::Ended], true) && $s->attended !== null => (int) $s->attended,
            default => null,
        };
        $lacksTeacher = $doors === DoorState::Running && (int) $staff === 0;
        $registered = (int) $s->registered;

        return new TodayRow(
            (int) $s->id,
            (int) $s->series,
            $zone->clock($starts),
            $zone->clock($ends),
            new SessionName(Section::called($s->year, $s->title), $s->sourced_id, (int) $s->others, $teacher),
            DayTrack::of(
                $axis,
                [$opens, $starts, $ends],
                $here === null || $registered === 0 ? null : $here / $registered,
                match (true) {
                    ! $isPlanned => 'off',
                    $lacksTeacher || ! $s->linked => 'wrong',
                    $isNow => 'now',
                    $now >= $ends || $s->ended !== null => 'past',
                    default => 'ahead',
                },
            ),
            new DoorNow(
                $doors,
                match ($doors) {
                    DoorState::NotHeld => Say::because($s->reason),
                    DoorState::Shut => $zone->clock($opens),
                    default => '',
                },
                $registered,
                $here,
                $lacksTeacher,
            ),
            $ends <= $now && $isPlanned,
            $s->linked && $isPlanned && $ends > $now,
            $isTheirs && $s->linked && $isNow,
        );
    }

    /** @return array<int, int> the series that somebody teaches on a day, by id */
    private function hosted(Person $for, string $day): array
    {
        return DB::table('series_sections')
            ->whereIn(
                'section_id',
                MembershipRow::query()->where('person_id', $for->id)->teaching()->on($day)->select('section_id'),
            )
            ->pluck('series_id', 'series_id')
            ->all();
    }

    /** The sections in which somebody has a part on a day; all for the coordinator. */
    private function own(Person $for, string $day): Builder
    {
        return $for->isCoordinator()
            ? Section::query()->select('id')->toBase()
            : MembershipRow::query()
                ->where('person_id', $for->id)
                ->whereIn('role', [MembershipRole::Teacher, MembershipRole::CoTeacher, MembershipRole::Observer])
                ->on($day)
                ->select('section_id')
                ->toBase();
    }
}
