<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/**
 * Who gets in, and when: one pure function of the link, the sessions behind it, the visitor, the room and the moment.
 *
 * Who is asked first, then when, then how the room is: a stranger learns nothing of the hours. Of a day's sessions the first that is not
 * over counts; once the day's last is over, the answer says so until midnight on the school's clock, and from then on names the next one.
 * After the end nobody comes in, and whoever was sent out stays out for that session.
 */
final readonly class Door
{
    public function __construct(public DoorRules $rules = new DoorRules)
    {
    }

    /** @param  int  $now  UTC seconds */
    public function answer(Knock $knock, Zone $zone, int $now): DoorAnswer
    {
        $refusal = $this->refusal($knock, $now);
        if ($refusal !== null) {
            return new DoorAnswer($refusal);
        }
        $byTime = $knock->openHours === null ? $this->byTime($knock, $zone, $now) : $this->byHours($knock->openHours, $knock->visitor->isHost, $now);

        return $byTime->reply === DoorReply::ComeIn ? $this->byRoom($byTime, $knock) : $byTime;
    }

    private function refusal(Knock $knock, int $now): ?DoorReply
    {
        $visitor = $knock->visitor;
        if ($knock->isRetired) {
            return DoorReply::Replaced;
        }
        if ($knock->kind === LinkKind::Host) {
            return $visitor->isHost ? null : DoorReply::NotYours;
        }
        if ($knock->kind === LinkKind::Personal && $knock->holder !== $visitor->person) {
            return DoorReply::NotYours;
        }
        if ($knock->kind === LinkKind::Guest && $knock->expires !== null && $now >= $knock->expires) {
            return DoorReply::Expired;
        }
        if ($visitor->isHost) {
            return null;
        }
        if ($knock->isHidden) {
            return DoorReply::Shut;
        }
        if ($knock->kind === LinkKind::Guest) {
            return null;
        }
        if ($visitor->registration === 'declined') {
            return DoorReply::Declined;
        }
        if ($visitor->registration === 'waiting' && ! $this->isStraightIn($visitor)) {
            return DoorReply::Waiting;
        }

        return $this->isStraightIn($visitor) || $this->rules->othersWait ? null : ($visitor->isOnRoster && $this->rules->straightIn !== StraightIn::Nobody ? DoorReply::RegisterFirst : DoorReply::NotOnRoster);
    }

    private function isStraightIn(Visitor $visitor): bool
    {
        return match ($this->rules->straightIn) {
            StraightIn::Nobody => false,
            StraightIn::Accepted => $visitor->registration === 'accepted',
            StraightIn::Roster => $visitor->registration === 'accepted' || $visitor->isOnRoster,
            StraightIn::School => $visitor->registration === 'accepted' || $visitor->isOnRoster || $visitor->isSchool,
            StraightIn::Anyone => true,
        };
    }

    private function byTime(Knock $knock, Zone $zone, int $now): DoorAnswer
    {
        $asHost = $knock->visitor->isHost;
        [$today] = $zone->wall($now);
        $current = $past = $next = $moved = null;
        foreach ($knock->sessions as $session) {
            if ($knock->only !== null && $session->day !== $knock->only) {
                continue;
            }
            $isToday = $zone->wall($session->start)[0] === $today;
            // Today's date of the pattern, held on another day.
            $moved = $session->slot() === $today && ! $isToday && $session->state === SessionState::Planned && $session->end > $now ? $session : $moved;
            if ($session->end <= $now) {
                $past = $isToday && $session->state === SessionState::Planned ? $session : $past;
            } elseif ($current === null && $isToday) {
                $current = $session;
            } elseif ($next === null && $session->state === SessionState::Planned) {
                $next = $session;
            }
        }
        $opens = $next === null ? null : $this->opens($next, $asHost);
        if ($current !== null && $current->state !== SessionState::Planned) {
            return new DoorAnswer(DoorReply::Cancelled, $current, $opens, $next, $asHost);
        }
        if ($current !== null) {
            $at = $this->opens($current, $asHost);

            return new DoorAnswer($now >= $at ? DoorReply::ComeIn : DoorReply::TooEarly, $current, $at, $next, $asHost);
        }
        if ($moved !== null && $past === null) {
            return new DoorAnswer(DoorReply::Moved, $moved, $this->opens($moved, $asHost), $next, $asHost);
        }
        if ($past !== null || $next === null) {
            return new DoorAnswer(DoorReply::Over, $past, $opens, $next, $asHost);
        }

        return new DoorAnswer(DoorReply::TooEarly, $next, $opens, null, $asHost);
    }

    /** @param  array{int, int}  $hours */
    private function byHours(array $hours, bool $asHost, int $now): DoorAnswer
    {
        return new DoorAnswer($now >= $hours[0] && $now < $hours[1] ? DoorReply::ComeIn : DoorReply::Shut, null, $hours[0], null, $asHost);
    }

    private function byRoom(DoorAnswer $come, Knock $knock): DoorAnswer
    {
        $room = $knock->room;
        $visitor = $knock->visitor;
        $reply = match (true) {
            $room->isOver => DoorReply::Over,
            $room->isSentOut && ! $visitor->isHost => DoorReply::SentOut,
            $room->isInside && $this->rules->oneDevice => DoorReply::Elsewhere,
            $visitor->isHost => DoorReply::ComeIn,
            ! $room->isInside && $room->seats !== null && $room->inside >= $room->seats => DoorReply::Full,
            $this->rules->needsHost && ! $room->hostInside => DoorReply::NoHost,
            $knock->kind !== LinkKind::Guest && ! $this->isStraightIn($visitor) => DoorReply::WaitOutside,
            default => DoorReply::ComeIn,
        };

        return new DoorAnswer($reply, $come->session, $come->opensAt, $come->next, $come->asHost);
    }

    private function opens(PlannedSession $session, bool $asHost): int
    {
        return $session->start - 60 * ($asHost ? $this->rules->opensBeforeHosts : $this->rules->opensBefore);
    }
}
