<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Fault;
use Nomada\Core\Joining\Door;
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
        $door = new Door;
        $rows = DB::table('sessions')->join('series', 'series.id', '=', 'series_id')->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)->where('day', $date->iso())->whereIn('sections.id', Section::query()->seenBy($for)->select('id'))->orderBy('starts_at')->orderBy('sections.id')
            ->get([DB::raw('extract(epoch from starts_at)::bigint as starts'), DB::raw('extract(epoch from ends_at)::bigint as ends'), 'state', 'reason', 'sections.title', 'sections.year', 'sections.sourced_id', 'section_id',
                DB::raw("(select count(*) from registrations r where r.series_id = series.id and r.state = 'accepted') as registered"),
                DB::raw("exists (select 1 from join_links l where l.series_id = series.id and l.kind = 'series' and l.retired_at is null) as linked")]);
        $teachers = Teachers::of(array_values(array_map(intval(...), $rows->pluck('section_id')->all())));
        $rows = $rows->map(fn (\stdClass $s): array => [
            'time' => $zone->clock((int) $s->starts), 'end' => $zone->clock((int) $s->ends), 'name' => ($s->year === '' ? '' : "Y$s->year ").$s->title, 'id' => $s->sourced_id, 'teacher' => $teachers[$s->section_id] ?? '',
            'registered' => (int) $s->registered, 'doors' => $this->doors($s, $now, $door, $zone), 'isOver' => (int) $s->ends <= $now,
        ])->all();

        return ['date' => $date, 'rows' => $rows, 'zone' => $zone, 'isToday' => $date->day === $zone->dateAt($now)->day, 'closed' => $term->calendar()->closedBecause($date->day), 'term' => $term];
    }

    /** @return array{string, string} words, and a state: open, shut, over or wrong */
    private function doors(\stdClass $s, int $now, Door $door, \Nomada\Core\Term\Zone $zone): array
    {
        $opens = (int) $s->starts - 60 * $door->opensBefore;

        return match (true) {
            $s->state !== 'planned' => [(string) $s->reason, 'wrong'],
            ! $s->linked => ['no join link', 'wrong'],
            $now >= (int) $s->ends => ['over', 'over'],
            $now >= (int) $s->starts => ['running', 'open'],
            $now >= $opens => ['open', 'open'],
            default => ['open at '.$zone->clock($opens), 'shut'],
        };
    }
}
