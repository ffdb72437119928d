<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\SessionState;

/**
 * Cancels one session with a reason that students read, or takes that back. The rest of its series stays; a session that has begun
 * is never touched. The cancellation outlives a change of the series where its date still exists in it (see LaySessions).
 */
final readonly class CancelSession
{
    public function __construct(private Clock $clock, private RefreshClashes $clashes, private RefreshPlacements $refresh)
    {
    }

    /** @throws Fault where it has begun, is lost or cancelled already, or has no reason */
    public function __invoke(Session $session, string $reason): void
    {
        $reason = trim($reason);
        if ($reason === '') {
            throw new Fault('Write why it is cancelled; students read it at the door.', 'reason');
        }
        $this->change($session, SessionState::Planned, SessionState::Cancelled, $reason, 'Only a planned session can be cancelled.');
    }

    /** @throws Fault where it has begun or is not cancelled */
    public function restore(Session $session): void
    {
        $this->change($session, SessionState::Cancelled, SessionState::Planned, null, 'Only a cancelled session can be held after all.');
    }

    private function change(Session $session, SessionState $from, SessionState $to, ?string $reason, string $refusal): void
    {
        DB::transaction(function () use ($session, $from, $to, $reason, $refusal): void {
            // Locked, so that two people who press at one moment do not both count the sequence up.
            $session = Session::query()->with(['series.section.term.school', 'series.section.term.closures'])->lockForUpdate()->findOrFail($session->id);
            if ($session->state !== $from) {
                throw new Fault($refusal, 'session');
            }
            if ((int) $session->starts_at->timestamp <= $this->clock->seconds()) {
                throw new Fault('This session has begun; what has begun is not changed any more.', 'session');
            }
            $session->update(['state' => $to, 'reason' => $reason]);
            $series = $session->series;
            $series->update(['sequence' => $series->sequence + 1, 'changed_at' => Carbon::createFromTimestamp($this->clock->seconds())]);
            ($this->clashes)($series->section->term, [$series->section_id]);
            ($this->refresh)([$series->section_id]);
        });
    }
}
