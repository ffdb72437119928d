<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Illuminate\Support\Facades\Lang;
use Nomada\App\Support\Say;
use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\PlannedSession;
use Nomada\Core\Timetable\SessionState;

/** The door's answer in words, and as moments on a line, on one visitor's clock. */
final readonly class DoorWords
{
    /** @param  int  $now  UTC seconds */
    public function __construct(private Zone $zone, private Zone $school, private int $now)
    {
    }

    public function why(AdmissionDecision $answer): string
    {
        [$what, $follows] = $this->of($answer);

        return "$what. $follows";
    }

    /** @return array{string, string, string} what it is, what follows, what the button says ('' where there is none) */
    public function of(AdmissionDecision $answer): array
    {
        // What is open and is no session is a room with office hours.
        $isRoom = $answer->session === null && $answer->next === null && $answer->opensAt !== null;
        $next = match (true) {
            $answer->next !== null => self::say('next', ['moment' => $this->moment($answer->next->start)]),
            $isRoom => self::say('room_next'),
            default => self::say('none_left'),
        };
        $session = $answer->session;
        $reply = $answer->reply;
        [$part, $then] = match ($reply) {
            DoorReply::ComeIn => [
                match (true) {
                    $answer->looks => 'looks',
                    $session === null => 'room',
                    $session->start > $this->now => 'starts',
                    default => 'begun',
                },
                ['moment' => $session === null ? '' : $this->moment($session->start)],
            ],
            DoorReply::Moved => ['then', ['held' => $session === null ? '' : $this->moment($session->start)]],
            DoorReply::Cancelled => [
                'then',
                [
                    'because' => self::say('because', [
                        'reason' => $session?->reason === null
                            ? self::say('cancelled')
                            : Say::because($session->reason),
                        'next' => $next,
                    ]),
                ],
            ],
            DoorReply::Shut => [
                $answer->opensAt === null ? 'hidden' : 'then',
                ['opens' => $answer->opensAt === null ? '' : $this->moment($answer->opensAt)],
            ],
            DoorReply::TooEarly => [
                'then',
                ['opens' => $answer->opensAt === null ? '' : $this->moment($answer->opensAt)],
            ],
            default => ['then', ['next' => $next]],
        };

        return [
            self::say("replies.$reply->value.is"),
            $reply === DoorReply::Moved && $session === null
                ? $next
                : self::say("replies.$reply->value.$part", $then),
            $this->button($answer),
        ];
    }

    private function button(AdmissionDecision $answer): string
    {
        $key = "replies.{$answer->reply->value}.do";
        if ($answer->reply !== DoorReply::TooEarly) {
            return Lang::has("door.$key") ? self::say($key) : '';
        }
        $at = $answer->opensAt ?? $this->now;
        $day = $this->zone->dateAt($at);
        $isToday = $day->day === $this->zone->dateAt($this->now)->day;

        return self::say($isToday ? $key : "{$key}_on", [
            'time' => $this->zone->clock($at),
            'day' => Say::day($day),
        ]);
    }

    /** @param  array<string, string>  $with */
    private static function say(string $key, array $with = []): string
    {
        return (string) __("door.$key", $with);
    }

    /** `at 08:50 your time, 09:50 in Madrid`; another day is named first. */
    private function moment(int $at): string
    {
        $day = $this->zone->dateAt($at);
        $isToday = $day->day === $this->zone->dateAt($this->now)->day;
        $differs = $this->zone->offsetAt($at) !== $this->school->offsetAt($at);

        return self::say(($isToday ? 'at' : 'day_at').($differs ? '_both' : ''), [
            'day' => Say::day($day),
            'time' => $this->zone->clock($at),
            'school' => $this->school->clock($at),
            'place' => Say::place($this->school),
        ]);
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
                'words' => self::say('stops.now'),
                'kind' => 'now',
            ],
        ];
        foreach ($points as $i => [$at, $kind]) {
            $out[] = [
                'x' => $x[$i],
                'time' => $name($at).$zone->clock($at),
                'words' => self::say("stops.$kind"),
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
