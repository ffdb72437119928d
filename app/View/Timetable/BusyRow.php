<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\Say;
use Nomada\Core\Term\LocalDate;
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
     * @return array{days: array<string, array{closed: string|null, spans: list<array{int, int, string, int}>}>} by
     *   date; spans are from, to (minutes of the school's clock), free, students or teacher, and how many
     */
    public function data(Section $section, Series $series, Session $session): array
    {
        $term = $section->term->calendar();
        $monday = LocalDate::parse($session->day)->monday();
        $busy = $this->free->busy($series->sectionIds(), $series->id, $monday, $monday->plus(6));
        $own = DB::table('sessions')
            ->where('series_id', $series->id)
            ->where('state', SessionState::Planned)
            ->where('id', '!=', $session->id)
            ->whereBetween('day', [$monday->iso(), $monday->plus(6)->iso()])
            ->get([
                DB::raw("(day - date '1970-01-01') as n"),
                DB::raw('extract(epoch from starts_at)::bigint as s'),
                DB::raw('extract(epoch from ends_at)::bigint as e'),
            ]);
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
                        ...array_values(
                            $own
                                ->where('n', $day)
                                ->map(fn (\stdClass $r): array => [$local((int) $r->s), $local((int) $r->e)])
                                ->all(),
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
