<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\View\Timetable\FreeTimesQuery;
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
            [$date, $start, $minutes] = explode(' ', $time);
            $session = Session::query()
                ->with('series.section')
                ->whereRelation('series.section', 'term_id', $term->id)
                ->findOrFail((int) $id);
            $session->series->section->setRelation('term', $term);
            $day = LocalDate::parse($date);
            try {
                $this->check($session, $day, (int) $start, (int) $minutes, $term, $made > 0);
                $this->change->add($session->series, $day, (int) $start, (int) $minutes, $session, $by);
                $made++;
            } catch (Fault $e) {
                $faults[] = "{$session->series->section->name()}: {$e->getMessage()}";
            }
        }

        return [$made, $faults];
    }

    /** Only what the ones before it have taken is looked at: a time that clashed when it was chosen was chosen so. */
    private function check(
        Session $session,
        LocalDate $day,
        int $start,
        int $minutes,
        Term $term,
        bool $isLater,
    ): void {
        $at = $term->calendar()->zone->instant($day->day, $start);
        $cost = $isLater
            ? $this->free->costOf($session->series, [new PlannedSession($day->day, $at, $at + 60 * $minutes)])
            : null;
        if ($cost !== null && $cost->clear < 1) {
            throw new Fault(
                "{$day->short()} has just been taken by another session of the teacher. Choose again.",
                'take',
            );
        }
    }
}
