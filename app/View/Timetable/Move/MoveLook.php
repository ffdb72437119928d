<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Move;

use Nomada\App\Actions\Timetable\MoveSessions;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\Moves\MovesQuery;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\Reach;
use Nomada\Core\Timetable\ScheduleReconciliation;
use Nomada\Core\Timetable\SessionState;

/**
 * What moving a session would do, for each reach: how many move, what is dropped, who would be in two places; or why it
 * cannot be.
 */
final readonly class MoveLook
{
    public function __construct(
        private MoveSessions $move,
        private FreeTimesQuery $free,
        private MovesQuery $moves,
    ) {
    }

    /** @param  list<Fault>  $doubts  what of the typed times could mean something else */
    public function page(Session $session, LocalDate $day, int $start, int $minutes, array $doubts): MovingPage
    {
        $at = $session->series->section->term->calendar()->zone->instant($day->day, $start);

        return new MovingPage(
            $session->id,
            $this->moves->inTheWay($session, $at, $at + 60 * $minutes),
            $day,
            TypedTime::format($start).'–'.TypedTime::format($start + $minutes),
            array_map(
                fn (Reach $reach): ReachLook => $this->reach($reach, $session, $day, $start, $minutes),
                Reach::cases(),
            ),
            array_map(FaultWords::of(...), $doubts),
        );
    }

    private function reach(Reach $reach, Session $session, LocalDate $day, int $start, int $minutes): ReachLook
    {
        try {
            if ($reach === Reach::This) {
                return new ReachLook($reach, cost: $this->alone($session, $day, $start, $minutes));
            }
            $laying = $this->move->look($session, $day, $start, $minutes, $reach);
            $changed = $this->changed($laying->sessions, $session, $day, $reach);

            return new ReachLook(
                $reach,
                effect: $laying->effect,
                fallen: array_map(
                    fn (PlannedSession $s): string => Say::this(ScheduleReconciliation::told($s)),
                    $laying->fallen,
                ),
                cost: $this->free->costOf($session->series, $changed),
                then: Say::this($this->move->stretches($session, $day, $start, $minutes, $reach)->said()),
            );
        } catch (Fault $e) {
            return new ReachLook($reach, fault: FaultWords::of($e));
        }
    }

    /**
     * Those within reach: what stays before them is not asked about.
     *
     * @param  list<PlannedSession>  $sessions
     * @return list<PlannedSession>
     */
    private function changed(array $sessions, Session $session, LocalDate $day, Reach $reach): array
    {
        $from =
            $reach === Reach::Whole
                ? 0
                : min($day->day, LocalDate::parse($session->moved_from ?? $session->day)->day);

        return array_values(array_filter($sessions, fn (PlannedSession $s): bool => $s->day >= $from));
    }

    private function alone(Session $session, LocalDate $day, int $start, int $minutes): ?FreeTime
    {
        $term = $session->series->section->term->calendar();
        $closed = $term->closedBecause($day->day);
        if ($closed !== null) {
            throw new Fault('session.closed', 'move_day', ['day' => $day, 'closed' => $closed]);
        }
        if ($minutes < 1) {
            throw new Fault('session.length', 'move_end');
        }
        $at = $term->zone->instant($day->day, $start);

        return $this->free->costOf(
            $session->series,
            [new PlannedSession($day->day, $at, $at + 60 * $minutes, SessionState::Planned)],
            $session->teacher_id,
        );
    }
}
