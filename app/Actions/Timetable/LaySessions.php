<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;
use Nomada\Core\Timetable\SessionState;

/**
 * Lays a series' sessions over its term, as its plan makes them. Sessions that have started stay as they are;
 * a series that has none yet gets the past ones of its plan too. A cancellation stays where its date still exists and is open.
 */
final readonly class LaySessions
{
    public function __construct(private Clock $clock)
    {
    }

    public function __invoke(Series $series, Term $term): void
    {
        $now = $this->clock->seconds();
        $at = gmdate('Y-m-d H:i:sP', $now);
        $cancelled = DB::table('sessions')->where('series_id', $series->id)->where('starts_at', '>', $at)->where('state', SessionState::Cancelled->value)->pluck('reason', 'day');
        DB::table('sessions')->where('series_id', $series->id)->where('starts_at', '>', $at)->delete();
        $kept = DB::table('sessions')->where('series_id', $series->id)->pluck('day')->flip();
        $rows = [];
        foreach ($series->plan()->sessions($term) as $session) {
            $day = (new LocalDate($session->day))->iso();
            if ($kept->isEmpty() || ($session->start > $now && ! $kept->has($day))) {
                $isCancelled = $session->state === SessionState::Planned && $cancelled->has($day);
                $rows[] = [
                    'series_id' => $series->id, 'day' => $day, 'starts_at' => gmdate('Y-m-d H:i:sP', $session->start),
                    'ends_at' => gmdate('Y-m-d H:i:sP', $session->end), 'state' => $isCancelled ? SessionState::Cancelled->value : $session->state->value, 'reason' => $isCancelled ? $cancelled->get($day) : $session->reason,
                ];
            }
        }
        DB::table('sessions')->insert($rows);
    }
}
