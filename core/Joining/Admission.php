<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/**
 * Who gets in, and when: one pure function of the link, the sessions behind it, the visitor, the room and the moment.
 *
 * Who is asked first, then when, then how the room is: a stranger learns nothing of the hours. Everybody stands before
 * the sessions that are their own: a leaver before those until the last day, a joiner before those from the first, a
 * substitute before exactly one, which they host. Observers come in while a host is inside. Of a day's sessions the
 * first that is not over counts; once the day's last is over, the answer says so until midnight on the school's clock,
 * and from then on names the next one. After the end nobody comes in, and anybody who was sent out stays out for that
 * session. A session may have a door of its own. Where the link is hidden outside the door's hours, it is shut for
 * students between them; a drop-in room is shut outside its open hours.
 */
final readonly class Admission
{
    public function __construct(public DoorRules $rules = new DoorRules())
    {
    }

    /** @param  int  $now  UTC seconds */
    public function answer(JoinAttempt $knock, Zone $zone, int $now): AdmissionDecision
    {
        [$today] = $zone->wall($now);
        $whole = $knock;
        $knock = $whole->ofTheirs();
        $gone = self::gone($knock, $zone, $today, $now);
        if ($gone !== null && ! $this->isOpenToAll($whole->kind)) {
            return new AdmissionDecision($gone);
        }
        if ($gone !== null) {
            $knock = $whole->asStranger();
        }
        $byTime =
            $knock->kind === LinkKind::DropIn
                ? $this->byHours($knock->openHours, $knock->visitorFor(null, $today), $now)
                : $this->byTime($knock, $zone, $now);
        // One session may have a door of its own: who gets in is asked of the one that is at hand.
        $atHand = $byTime->session ?? $byTime->next;
        $rules = $this->rulesOf($atHand);
        $visitor = $knock->visitorFor($atHand, $today);
        $refusal = $this->refusal($knock, $visitor, $rules, $now);
        if ($refusal !== null) {
            return new AdmissionDecision($refusal);
        }
        $byTime = self::isGuest($knock, $visitor) ? $byTime->forGuest() : $byTime;
        if (
            $rules->hiddenOutside &&
            ! $byTime->asHost &&
            in_array($byTime->reply, [DoorReply::TooEarly, DoorReply::Over], true)
        ) {
            $shut = new AdmissionDecision(DoorReply::Shut, $byTime->session, $byTime->opensAt, $byTime->next);

            return $byTime->asGuest ? $shut->forGuest() : $shut;
        }

        return $byTime->reply === DoorReply::ComeIn ? $this->byRoom($byTime, $knock, $visitor, $rules) : $byTime;
    }

    /** The door of one session: the series', with what is its own. */
    public function rulesOf(?PlannedSession $session): DoorRules
    {
        return $this->rules->with($session?->own?->door);
    }

    /** Anybody who has left, or begins later, and has no session ahead; null for everybody else. */
    private static function gone(JoinAttempt $knock, Zone $zone, int $today, int $now): ?DoorReply
    {
        $standing = $knock->belonging?->on($today);
        if ($standing !== SessionRole::Left && $standing !== SessionRole::Ahead) {
            return null;
        }
        foreach ($knock->sessions as $session) {
            $isAhead = $session->end > $now || $zone->wall($session->start)[0] === $today;
            if ($isAhead && $knock->standing($session)->isTheirs()) {
                return null;
            }
        }

        return $standing === SessionRole::Left ? DoorReply::Left : DoorReply::Ahead;
    }

    /** Whether it lets in people who have no part in the class at all: then anybody who had one comes in like them. */
    private function isOpenToAll(LinkKind $kind): bool
    {
        return in_array($kind, [LinkKind::Series, LinkKind::DropIn], true) &&
            in_array($this->rules->straightIn, [EntryWithoutWaiting::School, EntryWithoutWaiting::Anyone], true);
    }

    private function refusal(JoinAttempt $knock, Visitor $visitor, DoorRules $rules, int $now): ?DoorReply
    {
        if ($knock->isRetired) {
            return DoorReply::Replaced;
        }
        if ($knock->kind === LinkKind::Host) {
            return $visitor->isHost || $visitor->looks ? null : DoorReply::NotYours;
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
        if (self::isGuest($knock, $visitor) && $knock->isHeldElsewhere) {
            return DoorReply::PassElsewhere;
        }
        if ($knock->isHidden) {
            return DoorReply::Shut;
        }
        if (self::isGuest($knock, $visitor) || $visitor->looks) {
            return null;
        }
        if ($visitor->registration === RegistrationState::Declined) {
            return DoorReply::Declined;
        }
        if ($visitor->registration === RegistrationState::Waiting && ! self::isStraightIn($visitor, $rules)) {
            return DoorReply::Waiting;
        }

        return self::isStraightIn($visitor, $rules) || $rules->othersWait
            ? null
            : ($visitor->isOnRoster && $rules->straightIn !== EntryWithoutWaiting::Nobody
                ? DoorReply::RegisterFirst
                : DoorReply::NotOnRoster);
    }

    /**
     * By a guest's pass comes a guest; anybody who has a part in the class comes as what they are, by whatever link.
     */
    private static function isGuest(JoinAttempt $knock, Visitor $visitor): bool
    {
        return $knock->kind === LinkKind::Guest &&
            ! $visitor->isHost &&
            ! $visitor->isOnRoster &&
            ! $visitor->looks &&
            $visitor->registration !== RegistrationState::Accepted;
    }

    private static function isStraightIn(Visitor $visitor, DoorRules $rules): bool
    {
        return match ($rules->straightIn) {
            EntryWithoutWaiting::Nobody => false,
            EntryWithoutWaiting::Accepted => $visitor->registration === RegistrationState::Accepted,
            EntryWithoutWaiting::Roster => $visitor->registration === RegistrationState::Accepted ||
                $visitor->isOnRoster,
            EntryWithoutWaiting::School => $visitor->registration === RegistrationState::Accepted ||
                $visitor->isOnRoster ||
                $visitor->isSchool,
            EntryWithoutWaiting::Anyone => true,
        };
    }

    private function byTime(JoinAttempt $knock, Zone $zone, int $now): AdmissionDecision
    {
        [$today] = $zone->wall($now);
        $current = $past = $next = $moved = null;
        foreach ($knock->sessions as $session) {
            if ($knock->only !== null && $session->day !== $knock->only) {
                continue;
            }
            $isToday = $zone->wall($session->start)[0] === $today;
            // Today's date of the pattern, held on another day.
            $moved =
                $session->slot() === $today &&
                ! $isToday &&
                $session->state === SessionState::Planned &&
                $session->end > $now
                    ? $session
                    : $moved;
            if ($session->end <= $now) {
                $past = $isToday && $session->state === SessionState::Planned ? $session : $past;
            } elseif ($current === null && $isToday) {
                $current = $session;
            } elseif ($next === null && $session->state === SessionState::Planned) {
                $next = $session;
            }
        }
        $isHost = fn (?PlannedSession $s): bool => $knock->visitorFor($s, $today)->isHost;
        $opens = $next === null ? null : $this->opens($next, $isHost($next));
        if ($current !== null && $current->state !== SessionState::Planned) {
            return new AdmissionDecision(DoorReply::Cancelled, $current, $opens, $next, $isHost($current));
        }
        if ($current !== null) {
            $at = $this->opens($current, $isHost($current));

            return new AdmissionDecision(
                $now >= $at ? DoorReply::ComeIn : DoorReply::TooEarly,
                $current,
                $at,
                $next,
                $isHost($current),
                $knock->visitorFor($current, $today)->looks,
            );
        }
        if ($moved !== null && $past === null) {
            $asHost = $isHost($moved);

            return new AdmissionDecision(DoorReply::Moved, $moved, $this->opens($moved, $asHost), $next, $asHost);
        }
        if ($past !== null || $next === null) {
            return new AdmissionDecision(DoorReply::Over, $past, $opens, $next, $isHost($past ?? $next));
        }

        return new AdmissionDecision(DoorReply::TooEarly, $next, $opens, null, $isHost($next));
    }

    /** @param  array{int, int}|null  $hours */
    private function byHours(?array $hours, Visitor $visitor, int $now): AdmissionDecision
    {
        $opens = $hours === null ? null : $hours[0] - ($visitor->isHost ? 60 * $this->rules->opensBeforeHosts : 0);

        return new AdmissionDecision(
            $hours !== null && $now >= $opens && $now < $hours[1] ? DoorReply::ComeIn : DoorReply::Shut,
            null,
            $opens,
            null,
            $visitor->isHost,
            $visitor->looks,
        );
    }

    private function byRoom(
        AdmissionDecision $come,
        JoinAttempt $knock,
        Visitor $visitor,
        DoorRules $rules,
    ): AdmissionDecision {
        $room = $knock->room;
        $reply = match (true) {
            $room->isOver => DoorReply::Over,
            $room->isSentOut && ! $visitor->isHost => DoorReply::SentOut,
            $room->isInside && $rules->oneDevice => DoorReply::Elsewhere,
            $visitor->isHost => DoorReply::ComeIn,
            ! $room->isInside && $room->seats !== null && $room->inside >= $room->seats => DoorReply::Full,
            $rules->needsHost && ! $room->hostInside => DoorReply::NoHost,
            $visitor->looks => DoorReply::ComeIn,
            ! $come->asGuest && ! self::isStraightIn($visitor, $rules) => DoorReply::WaitOutside,
            default => DoorReply::ComeIn,
        };

        return new AdmissionDecision(
            $reply,
            $come->session,
            $come->opensAt,
            $come->next,
            $come->asHost,
            $come->looks,
            $come->asGuest,
        );
    }

    private function opens(PlannedSession $session, bool $asHost): int
    {
        $rules = $this->rulesOf($session);

        return $session->start - 60 * ($asHost ? $rules->opensBeforeHosts : $rules->opensBefore);
    }
}
