<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/**
 * Lays a series' sessions over its term, as its plan makes them. Sessions that have started stay as they are;
 * a series that has none yet gets the past ones of its plan too. What was changed of one
 * session (cancelled, moved) stays where its date still exists in the series and is open.
 */
final readonly class LaySessions
{
    public function __construct(private Clock $clock)
    {
    }

    public function __invoke(Series $series, Term $term): void
    {
        $now = $this->clock->seconds();
        $coming = DB::table('sessions')->where('series_id', $series->id)->where('starts_at', '>', gmdate('Y-m-d H:i:sP', $now));
        $cancelled = (clone $coming)->where('state', SessionState::Cancelled->value)->whereNull('moved_from')->pluck('reason', 'day');
        $moved = (clone $coming)->whereNotNull('moved_from')->get()->keyBy('moved_from');
        $coming->delete();
        $kept = DB::table('sessions')->where('series_id', $series->id)->pluck('day')->flip();
        $rows = [];
        foreach ($series->plan()->sessions($term) as $session) {
            $day = (new LocalDate($session->day))->iso();
            if ($kept->isEmpty() || ($session->start > $now && ! $kept->has($day))) {
                $isCancelled = $session->state === SessionState::Planned && $cancelled->has($day);
                $rows[$day] = [
                    'series_id' => $series->id, 'day' => $day, 'starts_at' => gmdate('Y-m-d H:i:sP', $session->start), 'ends_at' => gmdate('Y-m-d H:i:sP', $session->end),
                    'state' => $isCancelled ? SessionState::Cancelled->value : $session->state->value, 'reason' => $isCancelled ? $cancelled->get($day) : $session->reason, 'moved_from' => null,
                ];
            }
        }
        DB::table('sessions')->insert(array_values($this->withMoves($rows, $moved, $term)));
    }

    /**
     * A moved session stays moved where its date is still one of the series, its new day is open, and no other session has taken that day.
     *
     * @param  array<string, array<string, mixed>>  $rows  by day
     * @param  Collection<array-key, stdClass>  $moved  by the day they come from
     * @return array<string, array<string, mixed>>
     */
    private function withMoves(array $rows, Collection $moved, Term $term): array
    {
        foreach ($moved as $from => $session) {
            $isFree = $session->day === $from || ! isset($rows[$session->day]);
            if (isset($rows[$from]) && $rows[$from]['state'] === SessionState::Planned->value && $isFree && $term->isOpen(LocalDate::parse($session->day)->day)) {
                $own = $rows[$from];
                unset($rows[$from]);
                $rows[$session->day] = [...$own, 'day' => $session->day, 'starts_at' => $session->starts_at, 'ends_at' => $session->ends_at, 'state' => $session->state, 'reason' => $session->reason, 'moved_from' => $from];
            }
        }

        return $rows;
    }
}
