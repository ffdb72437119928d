<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\PlanHistory;
use Nomada\Core\Timetable\Reach;
use Nomada\Core\Timetable\ScheduleReconciliation;
use Nomada\Core\Timetable\SessionState;
use Nomada\Core\Timetable\Shift;

/** Moves a session to another day or time, alone, with the later ones, or with its whole series. */
final readonly class MoveSessions
{
    public function __construct(
        private Clock $clock,
        private ChangeSession $change,
        private SaveSeries $save,
        private LaySessions $lay,
    ) {
    }

    /**
     * @param  int  $start  minutes from midnight on the school's clock
     * @param  list<int>  $besides  ids of sessions that move in the same step (see ChangeSession::move)
     *
     * @throws Fault
     */
    public function __invoke(
        Session $session,
        LocalDate $day,
        int $start,
        int $minutes,
        Reach $reach,
        ?Person $by,
        array $besides = [],
    ): void {
        if ($reach === Reach::This) {
            $this->change->move($session, $day, $start, $minutes, $by, $besides);

            return;
        }
        DB::transaction(function () use ($session, $day, $start, $minutes, $reach, $by): void {
            $stretches = $this->stretches($session, $day, $start, $minutes, $reach);
            // Where it was dragged counts, not where it had been moved before.
            if ($session->moved_from !== null) {
                $session->update(['day' => $session->moved_from, 'moved_from' => null]);
            }
            $this->save->relay(
                $session->series,
                $stretches,
                $by,
                self::line(
                    $reach,
                    LocalDate::parse($session->day),
                    new Said('history.moved_to', [
                        'day' => Said::weekday($day->weekday()),
                        'times' => TypedTime::format($start).'–'.TypedTime::format($start + $minutes),
                    ]),
                ),
            );
        });
    }

    private static function line(Reach $reach, LocalDate $from, Said $moved): Said
    {
        return $reach === Reach::Whole
            ? new Said('history.whole', ['what' => $moved])
            : new Said('history.from', ['day' => $from, 'what' => $moved]);
    }

    /**
     * What a move of this reach would do, before it is done.
     *
     * @throws Fault where it cannot be done
     */
    public function look(
        Session $session,
        LocalDate $day,
        int $start,
        int $minutes,
        Reach $reach,
    ): ScheduleReconciliation {
        return $this->lay->look(
            $session->series,
            $this->stretches($session, $day, $start, $minutes, $reach),
            $session->series->section->term->calendar(),
        );
    }

    /**
     * The plans that the series would have.
     *
     * @throws Fault
     */
    public function stretches(Session $session, LocalDate $day, int $start, int $minutes, Reach $reach): PlanHistory
    {
        $this->check($session, $minutes);

        return $this->shift($session, $day, $start, $minutes)->over(
            $session->series->stretches(),
            $this->first($session, $reach),
            $session->series->section->term->calendar(),
        );
    }

    /** The first date of the pattern that moves: what has begun leaves no second session behind it. */
    private function first(Session $session, Reach $reach): int
    {
        $slot = LocalDate::parse($session->moved_from ?? $session->day)->day;
        foreach ($reach === Reach::Whole ? $this->lay->standing($session->series_id) : [] as $one) {
            if ($one->start > $this->clock->seconds() && $one->slot() !== null) {
                $slot = min($slot, $one->slot());
            }
        }

        return $slot;
    }

    private function shift(Session $session, LocalDate $day, int $start, int $minutes): Shift
    {
        $slot = LocalDate::parse($session->moved_from ?? $session->day)->day;

        return Shift::shown(
            $slot,
            $day->day,
            $start,
            $minutes,
            $session->series->section->term->calendar()->zone,
            $session->series->plan()->zone,
        );
    }

    private function check(Session $session, int $minutes): void
    {
        if ($session->is_extra) {
            throw new Fault('reach.extra', 'reach');
        }
        if ($session->state !== SessionState::Planned) {
            throw new Fault('reach.planned', 'session');
        }
        if ((int) $session->starts_at->timestamp <= $this->clock->seconds()) {
            throw new Fault('session.begun', 'session');
        }
        if ($minutes < 1 || $minutes > 720) {
            throw new Fault('session.length', 'move_end');
        }
    }
}
