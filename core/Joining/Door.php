<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/**
 * Who gets in, and when: one pure function of the link, the sessions behind it, the visitor and the moment.
 *
 * Who is asked first, then when: a stranger learns nothing of the hours. Of a day's sessions the first that is not over counts;
 * once the day's last is over, the answer says so until midnight on the school's clock, and from then on names the next one.
 * After the end nobody comes in.
 */
final readonly class Door
{
    /** @param  int  $opensBefore minutes before the start, for hosts $opensBeforeHosts */
    public function __construct(public int $opensBefore = 10, public int $opensBeforeHosts = 15)
    {
    }

    /**
     * @param  int|null  $holder  the person a personal link belongs to
     * @param  bool  $isRetired  the link was replaced
     * @param  list<PlannedSession>  $sessions  of the series, ascending, lost and cancelled ones too
     * @param  int  $now  UTC seconds
     */
    public function answer(LinkKind $kind, ?int $holder, bool $isRetired, bool $isHidden, array $sessions, Visitor $visitor, Zone $zone, int $now): DoorAnswer
    {
        $refusal = $this->refusal($kind, $holder, $isRetired, $isHidden, $visitor);

        return $refusal === null ? $this->byTime($sessions, $visitor->isHost, $zone, $now) : new DoorAnswer($refusal);
    }

    private function refusal(LinkKind $kind, ?int $holder, bool $isRetired, bool $isHidden, Visitor $visitor): ?DoorReply
    {
        if ($isRetired) {
            return DoorReply::Replaced;
        }
        if ($kind === LinkKind::Host) {
            return $visitor->isHost ? null : DoorReply::NotYours;
        }
        if ($kind === LinkKind::Personal && $holder !== $visitor->person) {
            return DoorReply::NotYours;
        }
        if ($visitor->isHost) {
            return null;
        }
        if ($isHidden) {
            return DoorReply::Hidden;
        }

        return match ($visitor->registration) {
            'accepted' => null,
            'waiting' => DoorReply::Waiting,
            'declined' => DoorReply::Declined,
            default => $visitor->isOnRoster ? DoorReply::RegisterFirst : DoorReply::NotOnRoster,
        };
    }

    /** @param  list<PlannedSession>  $sessions */
    private function byTime(array $sessions, bool $asHost, Zone $zone, int $now): DoorAnswer
    {
        [$today] = $zone->wall($now);
        $current = $past = $next = null;
        foreach ($sessions as $session) {
            $isToday = $zone->wall($session->start)[0] === $today;
            if ($session->end <= $now) {
                $past = $isToday && $session->state === SessionState::Planned ? $session : $past;
            } elseif ($current === null && $isToday) {
                $current = $session;
            } elseif ($next === null && $session->state === SessionState::Planned) {
                $next = $session;
            }
        }
        if ($current !== null && $current->state !== SessionState::Planned) {
            return new DoorAnswer(DoorReply::Cancelled, $current, $next === null ? null : $this->opens($next, $asHost), $next, $asHost);
        }
        if ($current !== null) {
            $opens = $this->opens($current, $asHost);

            return new DoorAnswer($now >= $opens ? DoorReply::ComeIn : DoorReply::TooEarly, $current, $opens, $next, $asHost);
        }
        if ($past !== null || $next === null) {
            return new DoorAnswer(DoorReply::Over, $past, $next === null ? null : $this->opens($next, $asHost), $next, $asHost);
        }

        return new DoorAnswer(DoorReply::TooEarly, $next, $this->opens($next, $asHost), null, $asHost);
    }

    private function opens(PlannedSession $session, bool $asHost): int
    {
        return $session->start - 60 * ($asHost ? $this->opensBeforeHosts : $this->opensBefore);
    }
}
