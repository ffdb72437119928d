<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Language\Phrases;
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
        string $short,
        Phrases $phrases,
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
                $phrases->day($zone->dateAt($session->start)).
                ', '.
                $zone->clock($session->start).
                '–'.
                $zone->clock($session->end).
                ($topic === null ? '' : ": $topic");
        }
        $more = count($coming) - count($lines);

        $say = fn (string $code, array $with = []): string => $phrases->say("invitation.$code", $with);
        $doors = ['minutes' => $door->opensBefore];

        return implode(
            "\n",
            array_filter(
                [
                    $teacher === '' ? $title : $say('title', ['title' => $title, 'teacher' => $teacher]),
                    '',
                    $coming === [] ? $say('none') : $say('when', ['place' => $zone->place($phrases->language)]),
                    ...$lines,
                    $more > 0 ? '  '.$say('more', ['n' => $more]) : null,
                    '',
                    $say('link', ['link' => $link]),
                    $short === '' ? null : $say('short', ['address' => $short]),
                    $code === '' ? null : $say('code', ['code' => JoinCode::show($code), 'page' => $joinPage]),
                    $phone === '' ? null : $say('phone', ['phone' => $phone, 'pin' => $pin]),
                    '',
                    $door->needsHost ? $say('doors_with_teacher', $doors) : $say('doors', $doors),
                    $say('trouble'),
                ],
                fn (?string $line): bool => $line !== null,
            ),
        );
    }
}
