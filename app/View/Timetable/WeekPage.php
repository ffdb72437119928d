<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\ShortNames;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term as TermCalendar;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\ShortLabels;

/**
 * A week or a day of the timetable: rows are teachers, sections or years; days run left to right, time inside them. A
 * closed day folds into a thin band and gives its width to the open ones. Positions are pixels, computed here.
 *
 * @phpstan-type Day array{date: LocalDate, x: float, width: float, perMinute: float, reason: string|null,
 *   note: string, offset: int|null, short: string, iso: string}
 * @phpstan-type Block array{x: float, width: float, code: string, name: string, section: string, session: int,
 *   series: int, day: string, minute: int, minutes: int, past: bool, wrong: string|null, times: string, kind: string,
 *   lane: int, note: string, isMovable: bool, says: string, class: string}
 */
final readonly class WeekPage
{
    private const FOLDED = 26;

    public const ROW = 46;

    /** Where the days begin, beside the names of the rows, in px. */
    public const LEFT = 110;

    private const WIDE = 1130;

    private const BESIDE = 770;

    public function __construct(private Clock $clock, private SessionPanel $panel)
    {
    }

    /**
     * @param  string  $typed  a date (for the view of one day), or empty
     * @param  string  $clockOf  the sourcedId of somebody on whose clock the day is shown too
     * @return array<string, mixed>
     */
    public function data(
        Term $term,
        Person $for,
        int $week,
        string $by,
        string $typed = '',
        string $clockOf = '',
        int $chosen = 0,
        WeekFilter $filter = new WeekFilter(),
    ): array {
        $calendar = $term->calendar();
        $now = $this->clock->seconds();
        [$today] = $calendar->zone->wall($now);
        $one = $this->date($typed, $calendar);
        $current = max(1, min($calendar->weeks(), $calendar->weekOf($today)));
        $week =
            $one !== null
                ? $calendar->weekOf($one->day)
                : ($week >= 1 && $week <= $calendar->weeks()
                    ? $week
                    : $current);
        $monday = $calendar->monday($week);
        $by = in_array($by, ['teacher', 'section', 'year'], true) ? $by : 'teacher';
        $panel = $chosen > 0 ? $this->chosen($term, $for, $chosen) : null;
        $width = $panel === null ? self::WIDE : self::BESIDE;
        [$first, $last] = $one === null ? [$monday, $monday->plus(6)] : [$one, $one];
        $sessions = $this->sessions($term, $for, $first, $last);
        $hours = $this->hours($sessions, $calendar->zone);
        $days = $this->days($calendar, $one === null ? $monday : $one, $one === null, $hours, $width);
        $sections = DB::table('sections')
            ->where('term_id', $term->id)
            ->orderBy('sourced_id')
            ->get(['sourced_id', 'code', 'title', 'year']);
        $rows = $this->rows(
            $sessions,
            $days,
            $hours,
            $by,
            $calendar->zone,
            $now,
            $this->wrong($term, $first, $last),
            $for->isCoordinator(),
            $filter,
            ShortLabels::of(
                $sections
                    ->mapWithKeys(
                        fn (\stdClass $s): array => [
                            (string) $s->sourced_id => ['code' => $s->code, 'title' => $s->title],
                        ],
                    )
                    ->all(),
            ),
        );
        $person = $clockOf === '' || $one === null ? null : Person::query()->where('sourced_id', $clockOf)->first();

        return [
            'term' => $term,
            'week' => $week,
            'weeks' => $calendar->weeks(),
            'current' => $current,
            'monday' => $monday,
            'one' => $one,
            'days' => $days,
            'hours' => $hours,
            'rows' => $rows,
            'panel' => $panel,
            'chosen' => $chosen,
            'count' => count(
                array_unique(
                    array_merge(
                        [],
                        ...array_values(
                            array_map(fn (array $r): array => array_column($r['blocks'], 'session'), $rows),
                        ),
                    ),
                ),
            ),
            'clashes' => count(
                array_unique(
                    array_merge(
                        ...array_values(
                            array_map(
                                fn (array $r): array => array_column(
                                    array_filter($r['blocks'], fn (array $b): bool => $b['wrong'] !== null),
                                    'session',
                                ),
                                $rows,
                            ),
                        ) ?: [[]],
                    ),
                ),
            ),
            'by' => $by,
            'zone' => $calendar->zone,
            'width' => $width,
            'today' => $today,
            'busy' => $by === 'teacher' ? $this->blocked($rows, $first, $last, $days, $hours, $calendar->zone) : [],
            'theirs' => $person === null || $one === null
                    ? null
                    : $this->theirs($person, $calendar->zone, $one, $days[0], $hours),
            'people' => $one === null ? [] : $this->people($term, $for),
            'clockOf' => $clockOf,
            'filter' => $filter,
            'years' => $sections
                ->pluck('year')
                ->unique()
                ->filter()
                ->sort(SORT_NATURAL)
                ->values()
                ->all(),
        ];
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

    /** @return array<string, mixed>|null */
    private function chosen(Term $term, Person $for, int $id): ?array
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
            : $this->panel->data($section->setRelation('term', $term), $session);
    }

    /** @return list<\stdClass> a row for every section that meets in a session */
    private function sessions(Term $term, Person $for, LocalDate $first, LocalDate $last): array
    {
        return array_values(
            DB::table('sessions')
                ->join('series', 'series.id', '=', 'sessions.series_id')
                ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
                ->join('sections', 'sections.id', '=', 'series_sections.section_id')
                ->where('term_id', $term->id)
                ->where('state', 'planned')
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
     * @param  list<\stdClass>  $sessions
     * @param  list<Day>  $days
     * @param  array{int, int}  $hours
     * @param  array<string, string>  $wrong
     * @param  array<string, string>  $labels  by sourcedId
     * @return array<string, array{blocks: list<Block>, lanes: int}>
     */
    private function rows(
        array $sessions,
        array $days,
        array $hours,
        string $by,
        Zone $zone,
        int $now,
        array $wrong,
        bool $mayMove,
        WeekFilter $filter,
        array $labels,
    ): array {
        $teachers = Teachers::of(array_map(fn (\stdClass $s): int => $s->section_id, $sessions));
        $names = ShortNames::ofStaff();
        $rows = $seen = [];
        foreach ($sessions as $s) {
            $s->other = $s->teacher_id === null ? null : $names[$s->teacher_id] ?? null;
            $day = $this->dayOf($days, $s->day);
            if ($day === null) {
                continue;
            }
            $clash = $wrong["$s->series_id $s->day"] ?? null;
            $teacher = $s->other ?? ($teachers[$s->section_id] ?? '');
            $isShown = $filter->takes($s->year, $teacher, "$s->year $s->title", $s->code);
            if (! $isShown || ($filter->clashes && $clash === null)) {
                continue;
            }
            $key = match ($by) {
                'teacher' => $s->other ?? ($teachers[$s->section_id] ?? 'No teacher'),
                'section' => ($s->year === '' ? '' : "Y$s->year ").$s->title,
                default => $s->year === '' ? 'No year' : "Year $s->year",
            };
            if (isset($seen["$key $s->id"])) {
                continue;
            }
            $seen["$key $s->id"] = true;
            $minute =
                $day['offset'] === null
                    ? $zone->wall((int) $s->starts)[1]
                    : intdiv((int) $s->starts + $day['offset'], 60) - 1440 * $day['date']->day;
            $minutes = intdiv((int) $s->ends - (int) $s->starts, 60);
            $name = ($s->year === '' ? '' : "Y$s->year ").$s->title;
            $times = self::clock($minute).'–'.self::clock(($minute + $minutes) % 1440);
            $note = implode(
                ', ',
                array_filter([
                    $s->topic,
                    $s->period === null ? null : "period $s->period",
                    $s->other === null ? null : "with $s->other",
                    $s->moved_from === null ? null : 'moved',
                ]),
            );
            $isPast = (int) $s->ends <= $now;
            $isMovable = $mayMove && (int) $s->starts > $now;
            $rows[$key][] = [
                'x' => round($day['x'] + ($minute - $hours[0] * 60) * $day['perMinute'], 1),
                'width' => round(max(11, $minutes * $day['perMinute']), 1),
                'code' => $labels[$s->sourced_id] ?? $s->title,
                'name' => $name,
                'section' => $s->sourced_id,
                'session' => (int) $s->id,
                'series' => (int) $s->series_id,
                'day' => $s->day,
                'minute' => $minute,
                'minutes' => $minutes,
                'past' => $isPast,
                'wrong' => $clash,
                'times' => $times,
                'kind' => $s->makes_up !== null ? 'makeup' : ($s->is_extra ? 'extra' : ''),
                'lane' => 0,
                'note' => $note,
                'isMovable' => $isMovable,
                'says' => "$name, {$day['short']}, $times".
                    ($note === '' ? '' : ", $note").
                    ($clash === null ? '' : "; $clash"),
                'class' => implode(
                    ' ',
                    array_filter([
                        $isPast ? 'is-past' : '',
                        $clash === null ? '' : 'is-wrong',
                        $s->is_extra ? 'is-extra' : '',
                        $isMovable ? 'is-movable' : '',
                    ]),
                ),
            ];
        }
        $by === 'teacher' ? ksort($rows) : uksort($rows, strnatcmp(...));

        return $this->lanes($rows);
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
            ->whereIn('kind', ClashList::GRAVE)
            ->whereNotExists(fn ($q) => $q->from('accepted_clashes as k')->whereRaw(ClashList::ACCEPTED))
            ->get(['kind', 'series_id', 'other_series_id', 'days', DB::raw('jsonb_array_length(people) as n')]);
        foreach ($grave as $row) {
            foreach ((array) json_decode($row->days, true) as $day) {
                if ($day >= $first->day && $day <= $last->day) {
                    $iso = (new LocalDate((int) $day))->iso();
                    $words = match ($row->kind) {
                        'teacher' => 'teacher in two places',
                        'students' => "$row->n students in two places",
                        'account' => 'host account taken',
                        'room' => 'room taken',
                        'long' => 'longer than its hosting plan',
                        default => 'larger than its hosting plan',
                    };
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
     * @param  list<\stdClass>  $sessions
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
     * @return list<Day>
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
            $reason = $calendar->closedBecause($day);
            $w = $open > 0 && $reason !== null ? self::FOLDED : $each;
            $rotation = $calendar->rotationLabel($day);
            $note = implode(
                ' ',
                array_filter([
                    $rotation === null ? null : ($calendar->rotation?->byWeek ? "week $rotation" : "day $rotation"),
                    $calendar->shortDay($day) === null ? null : 'short',
                ]),
            );
            $out[] = [
                'date' => new LocalDate($day),
                'x' => round($x, 1),
                'width' => round($w, 1),
                'perMinute' => ($w - 8) / (($hours[1] - $hours[0]) * 60),
                'reason' => $reason,
                'note' => $note,
                'offset' => $offsets[$day],
                'short' => (new LocalDate($day))->short(),
                'iso' => (new LocalDate($day))->iso(),
            ];
            $x += $w;
        }

        return $out;
    }

    /**
     * @param  list<Day>  $days
     * @return Day|null null where it is closed or not shown
     */
    private function dayOf(array $days, string $iso): ?array
    {
        foreach ($days as $day) {
            if ($day['iso'] === $iso) {
                return $day['reason'] === null ? $day : null;
            }
        }

        return null;
    }

    /**
     * Blocks of a row that overlap are put below each other.
     *
     * @param  array<string, list<Block>>  $rows
     * @return array<string, array{blocks: list<Block>, lanes: int}>
     */
    private function lanes(array $rows): array
    {
        $out = [];
        foreach ($rows as $name => $blocks) {
            usort($blocks, fn (array $a, array $b): int => $a['x'] <=> $b['x']);
            $ends = [];
            foreach ($blocks as $i => $block) {
                $lane = 0;
                while (($ends[$lane] ?? -1) > $block['x'] + 0.5) {
                    $lane++;
                }
                $ends[$lane] = $block['x'] + $block['width'];
                $blocks[$i]['lane'] = $lane;
            }
            $out[$name] = ['blocks' => $blocks, 'lanes' => max(1, count($ends))];
        }

        return $out;
    }

    /**
     * When teachers are busy by their own calendars, on their rows.
     *
     * @param  array<string, mixed>  $rows
     * @param  list<Day>  $days
     * @param  array{int, int}  $hours
     * @return array<string, list<array{x: float, width: float, title: string}>>
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
                $midnight = $zone->instant($day['date']->day, 0);
                $from = max($hours[0] * 60, intdiv((int) $block->starts - $midnight, 60));
                $to = min($hours[1] * 60, intdiv((int) $block->ends - $midnight, 60));
                if ($day['reason'] === null && $to > $from) {
                    $out[$who][] = [
                        'x' => round($day['x'] + ($from - $hours[0] * 60) * $day['perMinute'], 1),
                        'width' => round(($to - $from) * $day['perMinute'], 1),
                        'title' => $block->title,
                    ];
                }
            }
        }

        return $out;
    }

    /**
     * The hours of the day on somebody else's clock, where the school's hours are.
     *
     * @param  Day  $day
     * @param  array{int, int}  $hours
     * @return array{name: string, place: string, ticks: list<array{x: float, text: string}>}
     */
    private function theirs(Person $person, Zone $school, LocalDate $date, array $day, array $hours): array
    {
        $zone = $person->zone();
        $ticks = [];
        for ($hour = $hours[0]; $hour <= $hours[1]; $hour++) {
            $at = $school->instant($date->day, $hour * 60);
            $ticks[] = [
                'x' => round($day['x'] + ($hour - $hours[0]) * 60 * $day['perMinute'], 1),
                'text' => (string) preg_replace('/:00$/', '', ltrim($zone->clock($at), '0') ?: '0'),
            ];
        }

        return ['name' => $person->name(), 'place' => $zone->place(), 'ticks' => $ticks];
    }

    /**
     * @return list<array{id: string, name: string}> somebody of each clock that is not the school's, for the choice
     *   of one
     */
    private function people(Term $term, Person $for): array
    {
        $school = $term->calendar()->zone->name;

        return array_values(
            DB::table('people')
                ->whereIn(
                    'id',
                    DB::table('parts')
                        ->whereIn(
                            'section_id',
                            Section::query()->where('term_id', $term->id)->seenBy($for)->select('id'),
                        )
                        ->select('person_id'),
                )
                ->where('time_zone', '!=', $school)
                ->orderBy('time_zone')
                ->orderBy('family_name')
                ->orderBy('given_name')
                ->limit(400)
                ->get(['sourced_id', 'given_name', 'family_name', 'time_zone'])
                ->map(
                    fn (\stdClass $p): array => [
                        'id' => (string) $p->sourced_id,
                        'name' => Zone::named($p->time_zone)->place().": $p->given_name $p->family_name",
                    ],
                )
                ->all(),
        );
    }
}
