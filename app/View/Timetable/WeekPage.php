<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;

/**
 * One week of the timetable: rows are teachers, sections or years; days run left to right, time inside them.
 * A closed day folds into a thin band and gives its width to the open ones.
 */
final readonly class WeekPage
{
    private const WIDTH = 1130;

    private const FOLDED = 26;

    public const ROW = 46;

    public function __construct(private Clock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function data(Term $term, Person $for, int $week, string $by): array
    {
        $calendar = $term->calendar();
        $now = $this->clock->seconds();
        [$today] = $calendar->zone->wall($now);
        $current = max(1, min($calendar->weeks(), $calendar->weekOf($today)));
        $week = $week >= 1 && $week <= $calendar->weeks() ? $week : $current;
        $monday = $calendar->monday($week);
        $by = in_array($by, ['teacher', 'section', 'year'], true) ? $by : 'teacher';
        $sessions = $this->sessions($term, $for, $monday);
        $teachers = Teachers::of(array_map(fn (\stdClass $s): int => $s->section_id, $sessions));
        $hours = $this->hours($sessions, $calendar->zone);
        $days = $this->days($calendar, $monday, $hours);
        $rows = [];
        foreach ($sessions as $s) {
            $day = $days[LocalDate::parse($s->day)->weekday() - 1] ?? null;
            if ($day === null || $day['reason'] !== null) {
                continue;
            }
            [, $minute] = $calendar->zone->wall((int) $s->starts);
            $x = $day['x'] + ($minute - $hours[0] * 60) * $day['perMinute'];
            $key = match ($by) {
                'teacher' => $teachers[$s->section_id] ?? 'No teacher', 'section' => "Y$s->year $s->title", default => "Year $s->year"
            };
            $rows[$key][] = [
                'x' => round($x, 1), 'width' => round(max(11, ((int) $s->ends - (int) $s->starts) / 60 * $day['perMinute']), 1), 'code' => $s->code ?: $s->title,
                'name' => "Y$s->year $s->title", 'section' => $s->sourced_id, 'day' => $s->day, 'past' => (int) $s->ends <= $now,
                'times' => $calendar->zone->clock((int) $s->starts).'–'.$calendar->zone->clock((int) $s->ends),
            ];
        }
        $by === 'teacher' ? ksort($rows) : uksort($rows, strnatcmp(...));

        return [
            'term' => $term, 'week' => $week, 'weeks' => $calendar->weeks(), 'current' => $current, 'monday' => $monday, 'days' => $days, 'hours' => $hours, 'rows' => $this->lanes($rows),
            'count' => count($sessions), 'by' => $by, 'zone' => $calendar->zone, 'width' => self::WIDTH, 'today' => $today,
        ];
    }

    /** @return list<\stdClass> */
    private function sessions(Term $term, Person $for, LocalDate $monday): array
    {
        return array_values(DB::table('sessions')->join('series', 'series.id', '=', 'series_id')->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)->where('state', 'planned')->whereBetween('day', [$monday->iso(), $monday->plus(6)->iso()])
            ->whereIn('sections.id', Section::query()->seenBy($for)->select('id'))->orderBy('starts_at')
            ->get(['sessions.day', DB::raw('extract(epoch from starts_at)::bigint as starts'), DB::raw('extract(epoch from ends_at)::bigint as ends'), 'sections.title', 'sections.code', 'sections.year', 'sections.sourced_id',
                'sections.id as section_id'])->all());
    }

    /**
     * The hours that the week needs, 8 to 16 at least.
     *
     * @param  list<\stdClass>  $sessions
     * @return array{int, int}
     */
    private function hours(array $sessions, \Nomada\Core\Term\Zone $zone): array
    {
        $first = 8;
        $last = 16;
        foreach ($sessions as $s) {
            $first = min($first, intdiv($zone->wall((int) $s->starts)[1], 60));
            $last = max($last, intdiv($zone->wall((int) $s->ends)[1] + 59, 60));
        }

        return [$first, min(24, $last)];
    }

    /**
     * @param  array{int, int}  $hours
     * @return list<array{date: LocalDate, x: float, width: float, perMinute: float, reason: string|null}>
     */
    private function days(\Nomada\Core\Term\Term $calendar, LocalDate $monday, array $hours): array
    {
        $open = count(array_filter(range(0, 4), fn (int $n): bool => $calendar->closedBecause($monday->day + $n) === null));
        $width = $open === 0 ? self::WIDTH / 5 : (self::WIDTH - (5 - $open) * self::FOLDED) / $open;
        $x = 0.0;
        $out = [];
        for ($n = 0; $n < 5; $n++) {
            $reason = $calendar->closedBecause($monday->day + $n);
            $w = $open > 0 && $reason !== null ? self::FOLDED : $width;
            $out[] = ['date' => $monday->plus($n), 'x' => round($x, 1), 'width' => round($w, 1), 'perMinute' => ($w - 8) / (($hours[1] - $hours[0]) * 60), 'reason' => $reason];
            $x += $w;
        }

        return $out;
    }

    /**
     * Blocks of a row that overlap are put below each other.
     *
     * @param  array<string, list<array<string, mixed>>>  $rows
     * @return array<string, array{blocks: list<array<string, mixed>>, lanes: int}>
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
}
