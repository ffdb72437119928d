<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Support\Facades\Lang;
use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Joining\DoorReply;
use Nomada\Core\Term\Zone;

/** What was decided about somebody at a link, in words and on their own clock. */
final readonly class AdmissionWords
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

    /** @return array{string, string, string} what it is, what follows, what the button says ('' if there is none) */
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
}
