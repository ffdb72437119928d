<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/**
 * The whole invitation as text, on one person's own clock: when, how to come in, and what to do when it does not work.
 */
final class Invitation
{
    /** @param  list<PlannedSession>  $sessions  ascending */
    public static function text(
        string $title,
        string $teacher,
        array $sessions,
        Zone $zone,
        int $now,
        DoorRules $door,
        string $link,
        string $code,
        string $joinPage,
        string $phone,
        string $pin,
        string $short = '',
    ): string {
        $lines = [];
        $coming = array_values(
            array_filter(
                $sessions,
                fn (PlannedSession $s): bool => $s->state === SessionState::Planned && $s->end > $now,
            ),
        );
        foreach (array_slice($coming, 0, 5) as $session) {
            $topic = $session->own->title ?? $session->own?->topic;
            $lines[] =
                '  '.
                $zone->dateAt($session->start)->short().
                ', '.
                $zone->clock($session->start).
                '–'.
                $zone->clock($session->end).
                ($topic === null ? '' : ": $topic");
        }
        $more = count($coming) - count($lines);

        return implode(
            "\n",
            array_filter(
                [
                    $title.($teacher === '' ? '' : ", with $teacher"),
                    '',
                    $coming === [] ? 'No session is ahead.' : "When ({$zone->place()} time):",
                    ...$lines,
                    $more > 0 ? "  and $more more" : null,
                    '',
                    'Come in: '.$link,
                    $short === '' ? null : "Or: $short",
                    $code === '' ? null : 'Join code: '.JoinCode::show($code)." at $joinPage",
                    $phone === '' ? null : "By phone: $phone, PIN $pin",
                    '',
                    "The doors open $door->opensBefore minutes before the start".
                    ($door->needsHost ? ', once a teacher is inside' : '').
                    '.',
                    'Not working? Come in by phone, or type the join code on another device.',
                ],
                fn (?string $line): bool => $line !== null,
            ),
        );
    }
}
