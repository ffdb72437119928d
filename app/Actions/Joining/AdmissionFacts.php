<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Belongings;
use Nomada\App\Queries\Presets;
use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionOverrides;
use Nomada\Core\Timetable\SessionState;

/**
 * What a door needs to know of the series behind it, and of who stands before it, read in one question: hundreds ask at
 * once.
 */
final readonly class AdmissionFacts
{
    /**
     * @param  array<string, mixed>|null  $door  what differs from the preset; floor likewise
     * @param  array<string, mixed>|null  $floor
     * @param  int|null  $seats  of the hosting plan
     * @param  bool  $registers  students register themselves
     * @param  string  $room  at the bridge; dial-in, PIN and code are those of the series' own link
     * @param  list<PlannedSession>  $sessions  ascending; those that ended more than a day before are left out, since
     *   no answer is about them
     * @param  Belonging  $belonging  of the visitor in the sections of the series
     * @param  list<array{int|null, string}>  $registrations  of the visitor: a session's id (null for the whole
     *   series) and a state
     */
    private function __construct(
        public int $series,
        public string $name,
        public string $teacher,
        public Zone $zone,
        private string $preset,
        private ?array $door,
        private ?array $floor,
        private ?int $seats,
        public bool $registers,
        private string $room,
        public ?string $phone,
        public ?string $pin,
        public ?string $code,
        public array $sessions,
        public Belonging $belonging,
        public array $registrations,
    ) {
    }

    /** @param  int  $now  UTC seconds */
    public static function of(int $series, ?int $person, int $now): self
    {
        // Sub-selects by key, not joins: planning an order of joins takes longer than all of this.
        $row = DB::table('series')
            ->where('id', $series)
            ->select(['preset', 'door', 'floor', 'registering'])
            ->selectRaw(
                '(select json_build_array(title, year) from sections where id = series.section_id) as section',
            )
            ->selectRaw(
                '(select time_zone from schools where id = (select school_id from terms where id = (select
                    term_id from sections where id = series.section_id))) as zone',
            )
            ->selectRaw(
                '(select json_build_array(room, dial_in, pin, join_code) from join_links where series_id =
                    series.id and kind = ? and retired_at is null) as own',
                [LinkKind::Series->value],
            )
            ->selectRaw(
                '(select seats from hosting_plans where id = (select hosting_plan_id from host_accounts where id
                    = series.host_account_id)) as seats',
            )
            ->selectRaw(
                "(select left(given_name, 1) || '. ' || family_name from people where id = (select person_id from
                    memberships where section_id = series.section_id and role = 'teacher'
                    order by (coalesce(ends_on, 'infinity') >= to_timestamp(?)::date) desc, is_primary desc,
                    id limit 1)) as teacher",
                [$now],
            )
            ->selectRaw(
                "(select json_agg(json_build_array(day - date '1970-01-01', extract(epoch from
                    starts_at)::bigint, extract(epoch from ends_at)::bigint, state, reason, moved_from - date
                    '1970-01-01', is_extra, door, floor, teacher_id, chosen,
                    sessions.id, (select left(given_name, 1) || '. ' || family_name from people where id =
                        teacher_id)) order by
                        starts_at, day) from sessions where series_id =
                    series.id and ends_at > to_timestamp(?)) as sessions",
                [$now - 86400],
            )
            ->selectRaw(
                "(select json_agg(json_build_array(role, begins_on - date '1970-01-01', ends_on - date '1970-01-01'))
                    from memberships where person_id = ? and session_id is null and section_id in (select section_id
                    from series_sections where series_id = series.id)) as parts",
                [$person],
            )
            ->selectRaw(
                "(select json_agg(json_build_array(session_id, registrations.state)) from registrations where
                    person_id = ? and registrations.series_id = series.id and registrations.state <> 'withdrawn') as
                    registrations",
                [$person],
            )
            ->firstOrFail();
        [$title, $year] = (array) json_decode($row->section, true);
        [$room, $phone, $pin, $code] = (array) json_decode($row->own ?? '[null,null,null,null]', true);
        $open = fn (?string $sealed): ?string => $sealed === null ? null : Crypt::decryptString($sealed);
        $plain = fn (?string $json): ?array => $json === null ? null : (array) json_decode($json, true);

        return new self(
            $series,
            Section::called($year, $title),
            (string) $row->teacher,
            Zone::named($row->zone),
            $row->preset,
            $plain($row->door),
            $plain($row->floor),
            $row->seats === null ? null : (int) $row->seats,
            $row->registering !== null,
            (string) $room,
            $phone,
            $open($pin),
            $open($code),
            self::sessions((array) json_decode($row->sessions ?? '[]', true)),
            Belongings::from($person, (array) json_decode($row->parts ?? '[]', true)),
            array_values((array) json_decode($row->registrations ?? '[]', true)),
        );
    }

    /**
     * @param  array<mixed>  $rows
     * @return list<PlannedSession>
     */
    private static function sessions(array $rows): array
    {
        return array_values(
            array_map(function (array $r): PlannedSession {
                [
                    $day,
                    $start,
                    $end,
                    $state,
                    $reason,
                    $slot,
                    $isExtra,
                    $door,
                    $floor,
                    $teacher,
                    $chosen,
                    $id,
                    $name,
                ] = $r;

                return new PlannedSession(
                    $day,
                    $start,
                    $end,
                    SessionState::from($state),
                    $reason,
                    [$slot, $isExtra, $door, $floor, $teacher, $chosen] === [null, false, null, null, null, null]
                        ? null
                        : new SessionOverrides(
                            $slot,
                            $isExtra,
                            teacher: $teacher,
                            teacherName: $name,
                            door: $door,
                            floor: $floor,
                            chosen: $chosen,
                        ),
                    $id,
                );
            }, $rows),
        );
    }

    /**
     * Leaves out sessions for chosen students if the visitor is not one of them.
     *
     * @return list<PlannedSession>
     */
    public function theirs(): array
    {
        return array_values(
            array_filter(
                $this->sessions,
                fn (PlannedSession $s): bool => $this->belonging->on(
                    $s->day,
                    $s->own?->teacher,
                    $s->own?->chosen,
                ) !== SessionRole::NotChosen,
            ),
        );
    }

    public function way(?PlannedSession $session = null): Doorway
    {
        $all = Presets::known($this->preset);
        $preset = $all[$this->preset] ?? $all['lesson'];

        return new Doorway(
            $this->room,
            $this->seats,
            $preset->door->with($this->door)->with($session?->own?->door),
            $preset->floor->with($this->floor)->with($session?->own?->floor),
        );
    }
}
