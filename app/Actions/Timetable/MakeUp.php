<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\PlannedSession;

/**
 * Makes several lost sessions up at the times chosen for them. One whose time another has just taken is told, and the
 * others are made.
 */
final readonly class MakeUp
{
    public function __construct(private ChangeSession $change, private FreeTimesQuery $free)
    {
    }

    /**
     * @param  array<int|string, string>  $chosen  by the lost session: date, start and length in minutes, parted by
     *   blanks
     * @return array{int, list<string>} how many were made, and what is told of the others
     */
    public function __invoke(Term $term, array $chosen, Person $by): array
    {
        $made = 0;
        $faults = [];
        foreach ($chosen as $id => $time) {
            [$date, $start, $minutes, $students] = [...explode(' ', $time), '0'];
            $session = Session::query()
                ->with('series.section')
                ->whereRelation('series.section', 'term_id', $term->id)
                ->findOrFail((int) $id);
            $session->series->section->setRelation('term', $term);
            $day = LocalDate::parse($date);
            try {
                $this->check($session, $day, (int) $start, (int) $minutes, $term, (int) $students);
                $this->change->add($session->series, $day, (int) $start, (int) $minutes, $session, $by);
                $made++;
            } catch (Fault $e) {
                $faults[] = "{$session->series->section->name()}: ".FaultWords::of($e);
            }
        }

        return [$made, $faults];
    }

    /**
     * What it costs now must not be more than what was said of it when it was chosen.
     *
     * @param  int  $said  how many students were said to be elsewhere
     */
    private function check(Session $session, LocalDate $day, int $start, int $minutes, Term $term, int $said): void
    {
        $at = $term->calendar()->zone->instant($day->day, $start);
        $cost = $this->free->costOf($session->series, [new PlannedSession($day->day, $at, $at + 60 * $minutes)]);
        if ($cost !== null && $cost->clear < 1) {
            throw new Fault('make_up.meanwhile', 'take', ['day' => $day, 'cost' => Say::this($cost->cost())]);
        }
        if ($cost !== null && $cost->students > $said) {
            throw new Fault('make_up.more', 'take', ['day' => $day, 'cost' => Say::this($cost->cost())]);
        }
    }
}
