<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedDate;
use Nomada\Core\Timetable\BusyDay;
use Nomada\Core\Timetable\SessionState;

/**
 * When the people of a session are free in its week: what is shaded on the row along which it is dragged, and what is
 * said while it moves.
 */
final readonly class BusyRow
{
    public function __construct(private FreeTimesQuery $free)
    {
    }

    /**
     * The same for a section in the week of a day: where a series without a time could go.
     *
     * @param  string  $typed  the day
     * @return array{days: array<string, array{closed: string|null, spans: list<array{int, int, string, int}>}>}
     *
     * @throws Fault where the term has no such day
     */
    public function ofSection(Section $section, string $typed): array
    {
        $term = $section->term->calendar();
        $day = TypedDate::read($typed, $term->first, $term->last, 'day');

        return $this->week($section, $day->monday(), [$section->id], null, []);
    }

    /**
     * @return array{days: array<string, array{closed: string|null, spans: list<array{int, int, string, int}>}>} by
     *   date; spans are from, to (minutes of the school's clock), free, students or teacher, and how many
     */
    public function data(Section $section, Series $series, Session $session): array
    {
        $monday = LocalDate::parse($session->day)->monday();
        $own = DB::table('sessions')
            ->where('series_id', $series->id)
            ->where('state', SessionState::Planned)
            ->where('id', '!=', $session->id)
            ->whereBetween('day', [$monday->iso(), $monday->plus(6)->iso()])
            ->get([
                DB::raw("(day - date '1970-01-01') as n"),
                DB::raw('extract(epoch from starts_at)::bigint as s'),
                DB::raw('extract(epoch from ends_at)::bigint as e'),
            ])
            ->map(fn (\stdClass $r): array => [(int) $r->n, (int) $r->s, (int) $r->e])
            ->all();

        return $this->week($section, $monday, $series->sectionIds(), $series->id, array_values($own));
    }

    /**
     * @param  list<int>  $sections  who meets
     * @param  int|null  $but  the series whose sessions are in nobody's way
     * @param  list<array{int, int, int}>  $own  sessions that are, all the same: day number, UTC start, UTC end
     * @return array{days: array<string, array{closed: string|null, spans: list<array{int, int, string, int}>}>}
     */
    private function week(Section $section, LocalDate $monday, array $sections, ?int $but, array $own): array
    {
        $term = $section->term->calendar();
        $busy = $this->free->busy($sections, $but, $monday, $monday->plus(6));
        $days = [];
        for ($n = 0; $n < 7; $n++) {
            $day = $monday->day + $n;
            $midnight = $term->zone->instant($day, 0);
            $local = fn (int $at): int => intdiv($at - $midnight, 60);
            $days[$monday->plus($n)->iso()] = [
                'closed' => $term->isOpen($day) ? null : Say::because($term->closedBecause($day)),
                'spans' => BusyDay::spans(
                    [
                        ...array_map(
                            fn (array $b): array => [$local($b[0]), $local($b[1])],
                            $busy['teachers'][$day] ?? [],
                        ),
                        ...array_map(
                            fn (array $s): array => [$local($s[1]), $local($s[2])],
                            array_values(array_filter($own, fn (array $s): bool => $s[0] === $day)),
                        ),
                    ],
                    array_map(
                        fn (array $b): array => [$local($b[0]), $local($b[1]), $b[2]],
                        $busy['students'][$day] ?? [],
                    ),
                ),
            ];
        }

        return ['days' => $days];
    }
}
