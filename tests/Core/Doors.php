<?php

declare(strict_types=1);

namespace Tests\Core;

use DateTimeImmutable;
use Nomada\Core\Joining\Admission;
use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\JoinAttempt;
use Nomada\Core\Joining\LinkKind;
use Nomada\Core\Joining\RoomState;
use Nomada\Core\Joining\Visitor;
use Nomada\Core\Registration\RegistrationState;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;

/** The door of a series on Tuesdays and Thursdays, 10:00 to 10:47 in Madrid; 11 February is cancelled, 16 lost. */
final class Doors
{
    /** @param  array<string, mixed>  $link  what of the knock is not the usual */
    public static function at(string $at, array $link = [], ?Visitor $visitor = null): AdmissionDecision
    {
        $sessions = Scenario::plan([2, 4], '2027-01-12', minutes: 47)->sessions(Scenario::term());
        $sessions = array_map(
            fn (PlannedSession $s): PlannedSession => gmdate('Y-m-d', $s->start) === '2027-02-11'
                ? $s->cancelled('the teacher is ill')
                : $s,
            $sessions,
        );

        return (new Admission($link['rules'] ?? new DoorRules()))->answer(
            new JoinAttempt(
                $link['kind'] ?? LinkKind::Personal,
                $link['sessions'] ?? $sessions,
                $visitor ?? new Visitor(1, false, true, RegistrationState::Accepted),
                array_key_exists('holder', $link) ? $link['holder'] : 1,
                $link['retired'] ?? false,
                $link['hidden'] ?? false,
                $link['expires'] ?? null,
                $link['only'] ?? null,
                $link['room'] ?? new RoomState(hostInside: true),
                $link['hours'] ?? null,
                belonging: $link['belonging'] ?? null,
                isHeldElsewhere: $link['held'] ?? false,
            ),
            Zone::named('Europe/Madrid'),
            (new DateTimeImmutable("$at Europe/Madrid"))->getTimestamp(),
        );
    }
}
