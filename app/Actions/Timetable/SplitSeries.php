<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\SessionState;

/**
 * Splits the coming sessions of a series into parts with a pause between, each no longer than a hosting plan allows:
 * the series keeps the first part, and a series of its own is made for each further one.
 */
final readonly class SplitSeries
{
    public function __construct(private Clock $clock, private SaveSeries $save)
    {
    }

    /**
     * @param  int  $most  minutes of a part
     * @param  int  $pause  minutes between two parts
     * @return int how many parts there are
     *
     * @throws Fault where it is short enough, has no session to come, or would end after midnight
     */
    public function __invoke(Series $series, int $most, int $pause, ?Person $by): int
    {
        $plan = $series->plan();
        $parts = (int) ceil($plan->minutes / max(1, $most));
        if ($parts < 2) {
            throw new Fault('split.short', 'pause', ['minutes' => $plan->minutes]);
        }
        if ($plan->startMinute + $plan->minutes + ($parts - 1) * $pause > 1440) {
            throw new Fault('split.midnight', 'pause');
        }
        $first = DB::table('sessions')
            ->where('series_id', $series->id)
            ->where('state', SessionState::Planned)
            ->whereRaw('starts_at > to_timestamp(?)', [$this->clock->seconds()])
            ->min(DB::raw('coalesce(moved_from, day)'));
        if ($first === null) {
            throw new Fault('split.over', 'pause');
        }
        $from = LocalDate::parse((string) $first);
        $length = (int) ceil($plan->minutes / $parts);

        return DB::transaction(function () use ($series, $plan, $parts, $pause, $by, $from, $length): int {
            $start = $plan->startMinute;
            for ($part = 1, $left = $plan->minutes; $part <= $parts; $part++, $left -= $length) {
                $minutes = min($length, $left);
                $own = new SeriesPlan(
                    $plan->pattern,
                    new LocalDate(max($from->day, $plan->from->day)),
                    $plan->end,
                    $start,
                    $minutes,
                    $plan->zone,
                );
                ($this->save)(
                    $series->section,
                    $own,
                    $part === 1 ? $series->title : "$series->title, part $part",
                    $part === 1 ? $series : null,
                    $by,
                    $part === 1 ? $from : null,
                );
                $start += $minutes + $pause;
            }

            return $parts;
        });
    }
}
