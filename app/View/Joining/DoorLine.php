<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\Support\Say;
use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/** The moments that a visitor waits for, drawn as stops on a line and on their own clock. */
final readonly class DoorLine
{
    /** @param  int  $now  UTC seconds */
    public function __construct(private Zone $zone, private int $now)
    {
    }

    /**
     * Now, the doors, the start and the end as stops on a line 354 wide; nothing where the answer is not about a moment
     * to wait for.
     *
     * @return list<array{x: float, time: string, words: string, kind: string}>
     */
    public function stops(AdmissionDecision $answer): array
    {
        $session = $answer->session;
        $opens = $answer->opensAt;
        if (
            $session === null ||
            $opens === null ||
            ! in_array(
                $answer->reply,
                [DoorReply::TooEarly, DoorReply::ComeIn, DoorReply::NoHost, DoorReply::WaitOutside],
                true,
            )
        ) {
            return [];
        }
        $now = $this->now;
        $zone = $this->zone;
        $points = [[$opens, 'open'], [$session->start, 'start'], [$session->end, 'end']];
        $x = [140.0, 232.0, 324.0];
        $nowX = match (true) {
            $now < $opens => max(24.0, 140.0 - max(44.0, min(112.0, (($opens - $now) / 60) * 1.2))),
            $now < $session->start => $x[0] + (($now - $opens) / max(1, $session->start - $opens)) * 92,
            default => $x[1] + (($now - $session->start) / max(1, $session->end - $session->start)) * 92,
        };
        // On another day the weekdays are named, so that nobody reads 09:50 as this morning's.
        $name = fn (int $at): string => $zone->dateAt($opens)->day === $zone->dateAt($now)->day
            ? ''
            : strtok(Say::day($zone->dateAt($at)), ' ').' ';
        $out = [
            [
                'x' => round($nowX, 1),
                'time' => $name($now).$zone->clock($now),
                'words' => (string) __('door.stops.now'),
                'kind' => 'now',
            ],
        ];
        foreach ($points as $i => [$at, $kind]) {
            $out[] = [
                'x' => $x[$i],
                'time' => $name($at).$zone->clock($at),
                'words' => (string) __("door.stops.$kind"),
                'kind' => $kind,
            ];
        }

        return $out;
    }

    /**
     * @param  list<PlannedSession>  $sessions
     * @return list<string> the sessions after this one
     */
    public function next(array $sessions, AdmissionDecision $answer): array
    {
        $coming = array_filter(
            $sessions,
            fn (PlannedSession $s): bool => $s->state === SessionState::Planned &&
                $s->start > max($this->now, $answer->session->start ?? 0),
        );

        return array_map(
            fn (PlannedSession $s): string => Say::day($this->zone->dateAt($s->start)).
                ' '.
                $this->zone->clock($s->start),
            array_slice(array_values($coming), 0, 3),
        );
    }
}
