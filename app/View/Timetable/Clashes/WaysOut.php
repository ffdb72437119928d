<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Clashes;

use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Say;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\Reach;
use Nomada\Core\Timetable\SessionState;

/** The times to which a series of a clash could move so that nobody is in two places. */
final readonly class WaysOut
{
    /** How many are offered, and how many of one series. */
    public const MOST = 3;

    private const OF_ONE = 2;

    public function __construct(private FreeTimesQuery $free, private Clock $clock)
    {
    }

    /**
     * @param  list<int>  $series  ids, one or two
     * @return list<WayOut> the least change first; none where every time costs something
     */
    public function of(array $series): array
    {
        $found = [];
        // What is today may have begun by the time that somebody presses the button.
        $from = $this->clock->schoolDay()->plus(1);
        foreach (Series::chosen($series)->load(['section.term.school', 'section.term.closures']) as $one) {
            $next = $this->next($one, $from);
            if ($next === null) {
                continue;
            }
            $clear = array_filter($this->free->forSeries($one, $from), $this->isGood(...));
            foreach (array_slice($clear, 0, self::OF_ONE) as $time) {
                $found[] = [$time->distance, $this->way($one, $next, $time)];
            }
        }
        usort($found, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_slice(array_column($found, 1), 0, self::MOST);
    }

    private function isGood(FreeTime $time): bool
    {
        return $time->isClear() && $time->short === 0 && $time->outside === 0 && $time->noAccount === 0;
    }

    private function next(Series $series, LocalDate $from): ?Session
    {
        return $series
            ->sessions()
            ->where('state', SessionState::Planned)
            ->where('is_extra', false)
            ->where('day', '>=', $from->iso())
            ->orderBy('day')
            ->orderBy('starts_at')
            ->first();
    }

    private function way(Series $series, Session $next, FreeTime $time): WayOut
    {
        $to = [
            'day' => (new LocalDate(LocalDate::parse($next->day)->day + $time->shift))->iso(),
            'start' => TypedTime::format($time->start),
            'end' => TypedTime::format($time->start + $time->minutes),
            'reach' => Reach::Later->value,
        ];

        return new WayOut(
            $series->section->name(),
            Say::this($time->when()),
            route('moves', ['sessions' => [$next->id], 'moves' => [$next->id => $to]]),
        );
    }
}
