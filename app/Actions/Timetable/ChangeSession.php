<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SessionState;

/**
 * Changes one session and leaves the rest of its series: cancels it with a reason that students read, takes that back, or moves it to
 * another day or time. What has begun is never touched. The change outlives a change of the series where its date still exists in it
 * (see LaySessions).
 */
final readonly class ChangeSession
{
    public function __construct(private Clock $clock, private RefreshClashes $clashes, private RefreshPlacements $refresh)
    {
    }

    /** @throws Fault where it has begun, is lost or cancelled already, or has no reason */
    public function cancel(Session $session, string $reason): void
    {
        $reason = trim($reason);
        if ($reason === '') {
            throw new Fault('Write why it is cancelled; students read it at the door.', 'reason');
        }
        $this->change($session, SessionState::Planned, 'Only a planned session can be cancelled.', fn (): array => ['state' => SessionState::Cancelled, 'reason' => $reason]);
    }

    /** @throws Fault where it has begun or is not cancelled */
    public function restore(Session $session): void
    {
        $this->change($session, SessionState::Cancelled, 'Only a cancelled session can be held after all.', fn (): array => ['state' => SessionState::Planned, 'reason' => null]);
    }

    /**
     * @param  int  $start  minutes from midnight on the school's clock, which is the one that the screen shows
     *
     * @throws Fault where it has begun, the day is closed, past or taken by the series, or the length makes no sense
     */
    public function move(Session $session, LocalDate $day, int $start, int $minutes): void
    {
        $this->change($session, SessionState::Planned, 'Only a planned session can be moved.', function (Session $session) use ($day, $start, $minutes): array {
            $term = $session->series->section->term->calendar();
            $closed = $term->closedBecause($day->day);
            if ($closed !== null) {
                throw new Fault("School is closed on {$day->short()}: $closed. Choose an open day.", 'move_day');
            }
            if (Session::query()->where('series_id', $session->series_id)->where('day', $day->iso())->whereKeyNot($session->id)->exists()) {
                throw new Fault("This series meets on {$day->short()} already. Choose another day.", 'move_day');
            }
            if ($minutes < 1 || $minutes > 720) {
                throw new Fault('A session ends after it starts, within 12 hours.', 'move_end');
            }
            $at = $term->zone->instant($day->day, $start);
            if ($at <= $this->clock->seconds()) {
                throw new Fault('That time is past. Choose a later one.', 'move_start');
            }
            $from = $session->moved_from ?? $session->day;
            $own = Zone::named($session->series->time_zone)->instant(LocalDate::parse($from)->day, $session->series->start_minute);

            return [
                'day' => $day->iso(), 'starts_at' => Carbon::createFromTimestamp($at), 'ends_at' => Carbon::createFromTimestamp($at + 60 * $minutes),
                // Back where the pattern put it, at its time, it is an exception no more.
                'moved_from' => $from === $day->iso() && $at === $own && $minutes === $session->series->minutes ? null : $from,
            ];
        });
    }

    /** @param  callable(Session): array<string, mixed>  $to */
    private function change(Session $session, SessionState $from, string $refusal, callable $to): void
    {
        DB::transaction(function () use ($session, $from, $to, $refusal): void {
            // Locked, so that two people who press at one moment do not both count the sequence up.
            $session = Session::query()->with(['series.section.term.school', 'series.section.term.closures'])->lockForUpdate()->findOrFail($session->id);
            if ($session->state !== $from) {
                throw new Fault($refusal, 'session');
            }
            if ((int) $session->starts_at->timestamp <= $this->clock->seconds()) {
                throw new Fault('This session has begun; what has begun is not changed any more.', 'session');
            }
            $session->update($to($session));
            $series = $session->series;
            $series->update(['sequence' => $series->sequence + 1, 'changed_at' => Carbon::createFromTimestamp($this->clock->seconds())]);
            ($this->clashes)($series->section->term, [$series->section_id]);
            ($this->refresh)([$series->section_id]);
        });
    }
}
