<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\MembershipRole;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\Solver\PlacesOfSeries;
use Nomada\Core\Timetable\Solver\Solution;

/** Draws the sections and teachers that the moves of an answer touch, with all their series. */
final readonly class FixDrawings
{
    /** The most rows of sections: beyond that the list of moves says it better. */
    private const ROWS = 14;

    public function __construct(private Clock $clock)
    {
    }

    /** @param  array<int, FixSeries>  $series  by number */
    public function of(Term $term, Solution $solution, array $series): FixDrawing
    {
        $moves = $touched = [];
        foreach ($solution->moves as $move) {
            $moves[$move->series] = $move->plan;
            $touched[$series[$move->series]->section ?? 0] = true;
        }
        foreach ($solution->moves as $move) {
            foreach ([...$move->because, ...$move->room] as $reason) {
                $touched[$series[$reason['series']]->section ?? 0] = true;
            }
        }
        $rows = [];
        foreach (array_slice(array_keys($touched), 0, self::ROWS) as $section) {
            $of = array_filter($series, fn (FixSeries $s): bool => $s->section === $section);
            if ($of !== []) {
                $rows[] = ['name' => reset($of)->sectionName, 'series' => $this->spans($of, $moves)];
            }
        }
        foreach (array_slice($this->teachers($solution, $series), 0, self::ROWS) as [$name, $sections]) {
            $of = array_filter($series, fn (FixSeries $s): bool => isset($sections[$s->section]));
            $rows[] = ['name' => $name, 'series' => $this->spans($of, $moves)];
        }
        $hours = [1440, 0];
        foreach (array_merge(...array_column($rows, 'series')) as $span) {
            $hours = [min($hours[0], $span['from']), max($hours[1], $span['to'])];
        }

        return new FixDrawing($rows, $term->calendar()->weekdays(), [
            60 * intdiv($hours[0], 60),
            60 * intdiv($hours[1] + 59, 60),
        ]);
    }

    /**
     * @param  array<int, FixSeries>  $of
     * @param  array<int, SeriesPlan>  $moves
     * @return list<array{days: list<int>, from: int, to: int, kind: string, words: string, of: int}>
     */
    private function spans(array $of, array $moves): array
    {
        $out = [];
        foreach ($of as $series) {
            $to = $moves[$series->number] ?? null;
            foreach (
                array_filter([$to === null ? 'stays' : 'was' => $series->plan, 'becomes' => $to]) as $kind => $at
            ) {
                $out[] = [
                    'days' => PlacesOfSeries::weekdaysOf($at),
                    'from' => $at->startMinute,
                    'to' => $at->startMinute + $at->minutes,
                    'kind' => $kind,
                    'words' => (string) __("fix.drawn.$kind", [
                        'name' => $series->name,
                        'when' => FixSeries::whenOf($at),
                    ]),
                    'of' => $series->number,
                ];
            }
        }

        return $out;
    }

    /**
     * Who teaches the series that move, with all sections that they teach.
     *
     * @param  array<int, FixSeries>  $series
     * @return list<array{string, array<int, true>}>
     */
    private function teachers(Solution $solution, array $series): array
    {
        $today = $this->clock->schoolDay()->iso();
        $sections = array_map(fn (int $id): int => $series[$id]->section ?? 0, $solution->series());
        $taught = fn () => DB::table('memberships')
            ->whereIn('memberships.role', MembershipRole::TEACHING)
            ->whereRaw("coalesce(ends_on, 'infinity') >= ?", [$today]);
        $rows = $taught()
            ->join('people', 'people.id', '=', 'person_id')
            ->leftJoin('series_sections', 'series_sections.section_id', '=', 'memberships.section_id')
            ->leftJoin('series', 'series.id', '=', 'series_sections.series_id')
            ->whereIn('person_id', $taught()->whereIn('section_id', $sections)->select('person_id'))
            ->orderBy('family_name')
            ->orderBy('person_id')
            ->get([
                'person_id',
                'memberships.section_id',
                'series.section_id as of',
                DB::raw("left(given_name, 1) || '. ' || family_name as name"),
            ]);
        $out = [];
        foreach ($rows as $row) {
            $out[(int) $row->person_id] ??= [(string) $row->name, []];
            $out[(int) $row->person_id][1][(int) ($row->of ?? $row->section_id)] = true;
        }

        return array_values($out);
    }
}
