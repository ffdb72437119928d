<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\AcceptedClashes;
use Nomada\App\Queries\ShortNames;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Order;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\Panel\SessionPanel;
use Nomada\App\View\Timetable\Panel\SessionPanelQuery;
use Nomada\App\View\Timetable\Teachers;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term as TermCalendar;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\Clash;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\ShortLabels;
use stdClass;

/** Looks up a week or a day of the timetable, and lays it out. */
final readonly class WeekQuery
{
    /** A closed day folds into so many px. */
    private const FOLDED = 26;

    /** What the days have together, in px; and beside an open panel. */
    private const WIDE = 1130;

    private const BESIDE = 770;

    /** Between two days, in px. */
    private const BETWEEN = 8;

    public function __construct(private Clock $clock, private SessionPanelQuery $panel)
    {
    }

    /**
     * @param  string  $typed  a date (for the view of one day), or empty
     * @param  string  $clockOf  the sourcedId of somebody on whose clock the day is shown too
     * @param  int  $chosen  the session whose panel is open, or 0
     */
    public function page(
        Term $term,
        Person $for,
        int $week,
        string $by,
        string $typed = '',
        string $clockOf = '',
        int $chosen = 0,
        WeekFilter $filter = new WeekFilter(),
    ): WeekPage {
        $calendar = $term->calendar();
        $today = $this->clock->today($calendar->zone)->day;
        $one = $this->date($typed, $calendar);
        $week = match (true) {
            $one !== null => $calendar->weekOf($one->day),
            $week >= 1 && $week <= $calendar->weeks() => $week,
            default => max(1, min($calendar->weeks(), $calendar->weekOf($today))),
        };
        $monday = $calendar->monday($week);
        $by = in_array($by, ['teacher', 'section', 'year'], true) ? $by : 'teacher';
        $panel = $chosen > 0 ? $this->chosen($term, $for, $chosen) : null;
        $width = $panel === null ? self::WIDE : self::BESIDE;
        [$first, $last] = $one === null ? [$monday, $monday->plus(6)] : [$one, $one];
        $sessions = $this->sessions($term, $for, $first, $last);
        $hours = $this->hours($sessions, $calendar->zone);
        $days = $this->days($calendar, $one ?? $monday, $one === null, $hours, $width);
        $sections = DB::table('sections')
            ->where('term_id', $term->id)
            ->orderBy('sourced_id')
            ->get(['sourced_id', 'code', 'title', 'year']);
        $blocks = $this->blocks(
            $sessions,
            $days,
            $hours[0],
            $by,
            $calendar->zone,
            $this->wrong($term, $first, $last),
            $for->isCoordinator(),
            $filter,
            ShortLabels::of(
                $sections
                    ->mapWithKeys(
                        fn (stdClass $s): array => [
                            (string) $s->sourced_id => ['code' => $s->code, 'title' => $s->title],
                        ],
                    )
                    ->all(),
            ),
        );
        $busy = $by === 'teacher' ? $this->blocked($blocks, $first, $last, $days, $hours, $calendar->zone) : [];
        $person = $clockOf === '' || $one === null ? null : Person::query()->where('sourced_id', $clockOf)->first();

        return new WeekPage(
            $calendar,
            $week,
            $monday,
            $one,
            $today,
            new WeekGrid(
                $days,
                $hours,
                array_map(
                    fn (string|int $name): WeekRow => WeekRow::of(
                        (string) $name,
                        $blocks[$name],
                        $busy[$name] ?? [],
                    ),
                    array_keys($blocks),
                ),
                $width,
            ),
            $by,
            $panel,
            $chosen,
            new WeekClock(
                $person === null || $one === null
                    ? null
                    : $this->theirs($person, $calendar->zone, $one, $days[0], $hours),
                $clockOf,
                $one === null ? [] : $this->people($term, $for),
            ),
            $filter,
            array_values(
                array_map(
                    strval(...),
                    $sections
                        ->pluck('year')
                        ->unique()
                        ->filter()
                        ->sort(SORT_NATURAL)
                        ->all(),
                ),
            ),
        );
    }

    private function date(string $typed, TermCalendar $calendar): ?LocalDate
    {
        try {
            $date = $typed === '' ? null : LocalDate::parse($typed);
        } catch (Fault) {
            return null;
        }

        return $date !== null && $calendar->contains($date->day) ? $date : null;
    }

    private function chosen(Term $term, Person $for, int $id): ?SessionPanel
    {
        $session = Session::query()->with('series.section')->find($id);
        $section =
            $session === null
                ? null
                : Section::query()
                    ->where('term_id', $term->id)
                    ->seenBy($for)
                    ->whereIn('id', $session->series->sectionIds())
                    ->first();

        return $session === null || $section === null
            ? null
            : $this->panel->of($section->setRelation('term', $term), $session);
    }

    /** @return list<stdClass> a row for every section that meets in a session */
    private function sessions(Term $term, Person $for, LocalDate $first, LocalDate $last): array
    {
        return array_values(
            DB::table('sessions')
                ->join('series', 'series.id', '=', 'sessions.series_id')
                ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
                ->join('sections', 'sections.id', '=', 'series_sections.section_id')
                ->where('term_id', $term->id)
                ->where('state', SessionState::Planned)
                ->whereBetween('day', [$first->iso(), $last->iso()])
                ->whereIn('sections.id', Section::query()->seenBy($for)->select('id'))
                ->orderBy('starts_at')
                ->orderBy('sections.id')
                ->get([
                    'sessions.id',
                    'sessions.series_id',
                    'sessions.day',
                    DB::raw('extract(epoch from starts_at)::bigint as starts'),
                    DB::raw('extract(epoch from ends_at)::bigint as ends'),
                    'sections.title',
                    'sections.code',
                    'sections.year',
                    'sections.sourced_id',
                    'sections.id as section_id',
                    'is_extra',
                    'makes_up',
                    'moved_from',
                    'period',
                    DB::raw('coalesce(sessions.title, sessions.topic) as topic'),
                    'sessions.teacher_id',
                ])
                ->all(),
        );
    }

    /**
     * @param  list<stdClass>  $sessions
     * @param  list<WeekDay>  $days
     * @param  int  $from  the hour with which a day begins
     * @param  array<string, string>  $wrong
     * @param  array<string, string>  $labels  by sourcedId
     * @return array<string, list<WeekBlock>> by the name of the row, in the order of the rows
     */
    private function blocks(
        array $sessions,
        array $days,
        int $from,
        string $by,
        Zone $zone,
        array $wrong,
        bool $mayMove,
        WeekFilter $filter,
        array $labels,
    ): array {
        $teachers = Teachers::of(array_map(fn (stdClass $s): int => $s->section_id, $sessions));
        $names = ShortNames::ofStaff();
        $now = $this->clock->seconds();
        $open = $short = [];
        foreach ($days as $day) {
            if ($day->closed === null) {
                $open[$day->date->iso()] = $day;
                $short[$day->date->iso()] = Say::day($day->date);
            }
        }
        $rows = $seen = [];
        foreach ($sessions as $s) {
            $day = $open[$s->day] ?? null;
            if ($day === null) {
                continue;
            }
            $other = $s->teacher_id === null ? null : $names[$s->teacher_id] ?? null;
            $teacher = $other ?? ($teachers[$s->section_id] ?? '');
            $name = Section::called($s->year, $s->title);
            $clash = $wrong["$s->series_id $s->day"] ?? null;
            if (! $filter->takes($s->year, $teacher, "$s->year $s->title", $s->code)) {
                continue;
            }
            if ($filter->clashes && $clash === null) {
                continue;
            }
            $row = match ($by) {
                'teacher' => $other ?? ($teachers[$s->section_id] ?? __('week.no_teacher')),
                'section' => $name,
                default => $s->year === '' ? __('week.no_year') : __('section.people.year', ['year' => $s->year]),
            };
            if (isset($seen["$row $s->id"])) {
                continue;
            }
            $seen["$row $s->id"] = true;
            $minute =
                $day->offset === null
                    ? $zone->wall((int) $s->starts)[1]
                    : intdiv((int) $s->starts + $day->offset, 60) - 1440 * $day->date->day;
            $minutes = intdiv((int) $s->ends - (int) $s->starts, 60);
            $rows[$row][] = new WeekBlock(
                round($day->x + ($minute - $from * 60) * $day->perMinute, 1),
                round(max(11, $minutes * $day->perMinute), 1),
                $labels[$s->sourced_id] ?? $s->title,
                $name,
                $s->sourced_id,
                (int) $s->id,
                (int) $s->series_id,
                $s->day,
                $short[$s->day],
                $minute,
                $minutes,
                self::clock($minute).'–'.self::clock(($minute + $minutes) % 1440),
                $this->note($s, $other),
                (int) $s->ends <= $now,
                $clash,
                $s->makes_up !== null ? 'makeup' : ($s->is_extra ? 'extra' : ''),
                $mayMove && (int) $s->starts > $now,
            );
        }

        return Order::byKey($rows);
    }

    /** What is told of a session beside its name and time. */
    private function note(stdClass $s, ?string $other): string
    {
        return implode(
            ', ',
            array_filter([
                $s->topic,
                $s->period === null ? null : __('week.period', ['name' => $s->period]),
                $other === null ? null : __('section.with', ['name' => $other]),
                $s->moved_from === null ? null : __('week.moved'),
            ]),
        );
    }

    private static function clock(int $minute): string
    {
        return sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);
    }

    /**
     * What clashes, by series and day, and nobody has accepted.
     *
     * @return array<string, string>
     */
    private function wrong(Term $term, LocalDate $first, LocalDate $last): array
    {
        $out = [];
        $grave = DB::table('clashes')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->whereIn('kind', Clash::grave())
            ->whereNotExists(fn ($q) => $q->from('accepted_clashes as k')->whereRaw(AcceptedClashes::ACCEPTED))
            ->get(['kind', 'series_id', 'other_series_id', 'days', DB::raw('jsonb_array_length(people) as n')]);
        foreach ($grave as $row) {
            foreach ((array) json_decode($row->days, true) as $day) {
                if ($day >= $first->day && $day <= $last->day) {
                    $iso = (new LocalDate((int) $day))->iso();
                    $words = trans_choice("week.wrong.$row->kind", (int) $row->n);
                    foreach (array_filter([$row->series_id, $row->other_series_id]) as $series) {
                        $out["$series $iso"] ??= $words;
                    }
                }
            }
        }

        return $out;
    }

    /**
     * The hours that the view needs, 8 to 16 at least.
     *
     * @param  list<stdClass>  $sessions
     * @return array{int, int}
     */
    private function hours(array $sessions, Zone $zone): array
    {
        $first = 8;
        $last = 16;
        // One look a day and time of day: many sessions start together.
        $seen = [];
        foreach ($sessions as $s) {
            $seen["$s->starts $s->ends"] ??= $s;
        }
        foreach ($seen as $s) {
            $first = min($first, intdiv($zone->wall((int) $s->starts)[1], 60));
            $last = max($last, intdiv($zone->wall((int) $s->ends)[1] + 59, 60));
        }

        return [$first, min(24, $last)];
    }

    /**
     * @param  array{int, int}  $hours
     * @return list<WeekDay>
     */
    private function days(TermCalendar $calendar, LocalDate $from, bool $isWeek, array $hours, int $width): array
    {
        $dates = [$from->day];
        if ($isWeek) {
            $dates = array_values(
                array_filter(
                    range($from->day, $from->day + 6),
                    fn (int $d): bool => LocalDate::weekdayOf($d) < 6 || $calendar->isOpen($d),
                ),
            );
        }
        $open = count(array_filter($dates, $calendar->isOpen(...)));
        $each = $open === 0 ? $width / count($dates) : ($width - (count($dates) - $open) * self::FOLDED) / $open;
        $x = 0.0;
        $out = [];
        $offsets = $calendar->zone->offsets($from->day, $from->day + 6);
        foreach ($dates as $day) {
            $closed = $calendar->isOpen($day) ? null : Say::because($calendar->closedBecause($day));
            $w = $open > 0 && $closed !== null ? self::FOLDED : $each;
            $left = round($x, 1);
            $perMinute = ($w - self::BETWEEN) / (($hours[1] - $hours[0]) * 60);
            $out[] = new WeekDay(
                new LocalDate($day),
                $left,
                round($w, 1),
                $perMinute,
                $closed,
                $this->dayNote($calendar, $day),
                $offsets[$day],
                $closed === null ? $this->lines($left, $perMinute, $hours, $isWeek) : [],
            );
            $x += $w;
        }

        return $out;
    }

    private function dayNote(TermCalendar $calendar, int $day): string
    {
        $rotation = $calendar->rotationLabel($day);

        return implode(
            ' ',
            array_filter([
                $rotation === null
                    ? null
                    : (string) __($calendar->rotation?->byWeek === true ? 'week.of_week' : 'week.of_day', [
                        'label' => $rotation,
                    ]),
                $calendar->shortDay($day) === null ? null : (string) __('term.short'),
            ]),
        );
    }

    /**
     * Of a week every second hour is named, and not the last: the next day begins there.
     *
     * @param  array{int, int}  $hours
     * @return list<HourLine>
     */
    private function lines(float $left, float $perMinute, array $hours, bool $isWeek): array
    {
        return array_map(
            fn (int $hour): HourLine => new HourLine(
                $hour,
                round($left + ($hour - $hours[0]) * 60 * $perMinute, 1),
                ! $isWeek || (($hour - $hours[0]) % 2 === 0 && $hour < $hours[1]),
            ),
            range($hours[0], $hours[1]),
        );
    }

    /**
     * When teachers are busy by their own calendars, on their rows.
     *
     * @param  array<string, mixed>  $rows  by name
     * @param  list<WeekDay>  $days
     * @param  array{int, int}  $hours
     * @return array<string, list<BusySpan>> by the name of the row
     */
    private function blocked(
        array $rows,
        LocalDate $first,
        LocalDate $last,
        array $days,
        array $hours,
        Zone $zone,
    ): array {
        $out = [];
        $names = ShortNames::ofStaff();
        foreach (
            DB::table('busy_blocks')
                ->whereRaw('ends_at > to_timestamp(?) and starts_at < to_timestamp(?)', [
                    $zone->instant($first->day, 0),
                    $zone->instant($last->day + 1, 0),
                ])
                ->get([
                    'person_id',
                    'title',
                    DB::raw('extract(epoch from starts_at)::bigint as starts'),
                    DB::raw('extract(epoch from ends_at)::bigint as ends'),
                ]) as $block
        ) {
            $who = $names[$block->person_id] ?? '';
            foreach (isset($rows[$who]) ? $days : [] as $day) {
                $midnight = $zone->instant($day->date->day, 0);
                $from = max($hours[0] * 60, intdiv((int) $block->starts - $midnight, 60));
                $to = min($hours[1] * 60, intdiv((int) $block->ends - $midnight, 60));
                if ($day->closed === null && $to > $from) {
                    $out[$who][] = new BusySpan(
                        round($day->x + ($from - $hours[0] * 60) * $day->perMinute, 1),
                        round(($to - $from) * $day->perMinute, 1),
                        (string) $block->title,
                    );
                }
            }
        }

        return $out;
    }

    /**
     * The hours of the day on somebody else's clock, where the school's hours are.
     *
     * @param  array{int, int}  $hours
     */
    private function theirs(Person $person, Zone $school, LocalDate $date, WeekDay $day, array $hours): OtherClock
    {
        $zone = $person->zone();
        $ticks = [];
        for ($hour = $hours[0]; $hour <= $hours[1]; $hour++) {
            $clock = ltrim($zone->clock($school->instant($date->day, $hour * 60)), '0') ?: '0';
            $ticks[' '.preg_replace('/:00$/', '', $clock)] = round(
                $day->x + ($hour - $hours[0]) * 60 * $day->perMinute,
                1,
            );
        }

        return new OtherClock(Say::place($zone), $ticks);
    }

    /** @return array<string, string> somebody of each clock that is not the school's, by sourcedId, to choose from */
    private function people(Term $term, Person $for): array
    {
        return DB::table('people')
            ->whereIn(
                'id',
                DB::table('memberships')
                    ->whereIn(
                        'section_id',
                        Section::query()->where('term_id', $term->id)->seenBy($for)->select('id'),
                    )
                    ->select('person_id'),
            )
            ->where('time_zone', '!=', $term->calendar()->zone->name)
            ->orderBy('time_zone')
            ->orderBy('family_name')
            ->orderBy('given_name')
            ->limit(400)
            ->get(['sourced_id', 'given_name', 'family_name', 'time_zone'])
            ->mapWithKeys(
                fn (stdClass $p): array => [
                    (string) $p->sourced_id => Say::place(Zone::named($p->time_zone)).
                        ": $p->given_name $p->family_name",
                ],
            )
            ->all();
    }
}
