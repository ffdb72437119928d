<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\Locks;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;

/**
 * Makes lost sessions up at the times chosen for them, in one step with one undo. One whose time has been taken in the
 * meantime is reported, and the others are made.
 */
final readonly class MakeUp
{
    public function __construct(
        private ChangeSession $change,
        private FreeTimesQuery $free,
        private FollowSeries $follow,
        private SeriesHistory $history,
    ) {
    }

    /**
     * @param  array<int|string, string>  $chosen  by id of the lost session: date, start (minutes from midnight),
     *   length in minutes, and how many students were shown to be elsewhere, separated by spaces
     * @return array{int, list<string>} how many were made, and why the others were not
     */
    public function __invoke(Term $term, array $chosen, Person $by): array
    {
        return DB::transaction(function () use ($term, $chosen, $by): array {
            Locks::timetable($term->id);
            $lost = Session::query()
                ->with('series.section')
                ->whereRelation('series.section', 'term_id', $term->id)
                ->orderBy('day')
                ->orderBy('id')
                ->findOrFail(array_keys($chosen))
                ->groupBy('series_id');

            return $this->history->asOneStep($term->id, function () use ($term, $lost, $chosen, $by): array {
                $made = 0;
                $faults = $changed = [];
                foreach ($lost as $sessions) {
                    $series = $sessions->firstOrFail()->series;
                    $series->section->setRelation('term', $term);
                    [$n, $why] = $this->series($series, $sessions->all(), $chosen, $by);
                    $made += $n;
                    $changed = [...$changed, ...$n > 0 ? [$series] : []];
                    array_push($faults, ...$why);
                }
                if ($changed !== []) {
                    $this->follow->several($term, $changed);
                }

                return [$made, $faults];
            });
        });
    }

    /**
     * @param  array<int, Session>  $sessions  of the series, lost
     * @param  array<int|string, string>  $chosen
     * @return array{int, list<string>}
     */
    private function series(Series $series, array $sessions, array $chosen, Person $by): array
    {
        $faults = $times = [];
        foreach ($sessions as $session) {
            [$date, $start, $minutes, $students] = [...explode(' ', $chosen[$session->id]), '0'];
            $day = LocalDate::parse($date);
            try {
                $this->check($series, $day, (int) $start, (int) $minutes, (int) $students);
                $times[] = [$session, $day, (int) $start, (int) $minutes];
            } catch (Fault $e) {
                $faults[] = $e;
            }
        }
        $made = $times === [] ? [] : $this->change->makeUp($series, $times, $by);
        $refused = array_filter($made);

        return [
            count($made) - count($refused),
            array_map(
                fn (Fault $e): string => "{$series->section->name()}: ".FaultWords::of($e),
                [...$faults, ...array_values($refused)],
            ),
        ];
    }

    /**
     * The time must not cost more now than it did when it was chosen.
     *
     * @param  int  $known  how many students were shown to be elsewhere
     *
     * @throws Fault
     */
    private function check(Series $series, LocalDate $day, int $start, int $minutes, int $known): void
    {
        $at = $series->section->term->calendar()->zone->instant($day->day, $start);
        $cost = $this->free->costOf($series, [new PlannedSession($day->day, $at, $at + 60 * $minutes)]);
        if ($cost !== null && $cost->clear < 1) {
            throw new Fault('make_up.meanwhile', 'take', ['day' => $day, 'cost' => Say::this($cost->cost())]);
        }
        if ($cost !== null && $cost->students > $known) {
            throw new Fault('make_up.more', 'take', ['day' => $day, 'cost' => Say::this($cost->cost())]);
        }
    }
}
