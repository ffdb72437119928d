<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Part;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presets;
use Nomada\App\Queries\Registered;
use Nomada\App\Support\Clock;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Fault;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Term\LocalDate;

/** A day's sessions as a departure board: when, what, who, and how the doors are at this moment. */
final readonly class TodayPage
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Term $term, Person $for, string $typed): array
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
                // Who is inside at this moment: whose last word is a coming.
                DB::raw(
                    '(select count(*) from (select distinct on (who) is_join from presence_events e
                        where e.session_id = sessions.id order by who, at desc, is_join) as last where is_join)
                        as inside',
                ),
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
                        l.retired_at is null) as linked",
                ),
            ]);
        $teachers = Teachers::of(array_values(array_map(intval(...), $rows->pluck('section_id')->all())));
        $rows = $rows
            ->map(
                fn (\stdClass $s): array => [
                    'time' => $zone->clock((int) $s->starts),
                    'end' => $zone->clock((int) $s->ends),
                    'name' => ($s->year === '' ? '' : "Y$s->year ").
                        $s->title.
                        ($s->others > 0 ? " and $s->others more" : ''),
                    'topic' => $s->topic,
                    'id' => $s->sourced_id,
                    'session' => (int) $s->id,
                    'teacher' => $s->other ?? ($teachers[$s->section_id] ?? ''),
                    'registered' => (int) $s->registered,
                    'inside' => (int) $s->starts <= $now && $now < (int) $s->ends && $s->ended === null
                            ? (int) $s->inside
                            : null,
                    'doors' => $this->doors(
                        $s,
                        $now,
                        Presets::door($s->preset, $s->door, $presets, $s->own_door),
                        $zone,
                    ),
                    'isOver' => (int) $s->ends <= $now && $s->state === 'planned',
                    'live' => $s->linked && $s->state === 'planned' && (int) $s->ends > $now ? (int) $s->id : null,
                ],
            )
            ->all();

        return [
            'date' => $date,
            'rows' => $rows,
            'zone' => $zone,
            'isToday' => $date->day === $zone->dateAt($now)->day,
            'mine' => Section::query()->where('term_id', $term->id)->servedBy($for)->orderBy('title')->get(),
            'closed' => $term->calendar()->closedBecause($date->day),
            'term' => $term,
        ];
    }

    /** The sections in which somebody has a part on a day; all for the coordinator. */
    private function own(Person $for, string $day): Builder
    {
        return $for->isCoordinator()
            ? Section::query()->select('id')->toBase()
            : Part::query()
                ->where('person_id', $for->id)
                ->whereIn('role', ['teacher', 'co-teacher', 'observer'])
                ->on($day)
                ->select('section_id')
                ->toBase();
    }

    /** @return array{string, string} words, and a state: open, shut, over or wrong */
    private function doors(\stdClass $s, int $now, DoorRules $door, \Nomada\Core\Term\Zone $zone): array
    {
        $opens = (int) $s->starts - 60 * $door->opensBefore;

        return match (true) {
            $s->state !== 'planned' => [(string) $s->reason, 'wrong'],
            ! $s->linked => ['no join link', 'wrong'],
            $now >= (int) $s->ends => ['over', 'over'],
            $s->ended !== null => ['ended for everybody', 'over'],
            $now >= (int) $s->starts => ['running', 'open'],
            $now >= $opens => ['open', 'open'],
            default => ['open at '.$zone->clock($opens), 'shut'],
        };
    }
}
