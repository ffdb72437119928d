<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\Core\Joining\DoorAnswer;
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

    public function why(DoorAnswer $answer): string
    {
        [$what, $follows] = $this->of($answer);

        return "$what. $follows";
    }

    /** @return array{string, string, string} what it is, what follows, what the button says */
    public function of(DoorAnswer $answer): array
    {
        $opens = $answer->opensAt === null ? '' : $this->moment($answer->opensAt);
        $next =
            $answer->next === null
                ? 'There is no further session this term.'
                : 'The next one is '.$this->moment($answer->next->start).'.';
        $session = $answer->session;

        return match ($answer->reply) {
            DoorReply::ComeIn => [
                'Come in',
                $answer->looks
                    ? 'You come in to look: you neither host nor count.'
                    : ($session === null
                        ? 'The room is open.'
                        : ($session->start > $this->now
                            ? 'It starts '.$this->moment($session->start).'.'
                            : 'It has begun; come in now.')),
                'Come in',
            ],
            DoorReply::WaitOutside => [
                'You wait outside first',
                'Press the button; the teacher sees that you are there and lets you in.',
                'Wait outside',
            ],
            DoorReply::Elsewhere => [
                'You are already inside on another device',
                'Come in here, and this device takes over from the other one.',
                'Come in here instead',
            ],
            DoorReply::TooEarly => [
                'You are early',
                "The doors open $opens.",
                'Come in '.
                ($answer->opensAt === null
                    ? ''
                    : $this->day($answer->opensAt).$this->zone->clock($answer->opensAt)),
            ],
            DoorReply::NoHost => [
                'The teacher is not here yet',
                'The doors are open, and you come in as soon as a teacher is inside. Look again in a minute.',
                'Come in when the teacher is here',
            ],
            DoorReply::Full => [
                'The room is full',
                'All its seats are taken. Tell your teacher through the class stream, or come in by phone.',
                'Full',
            ],
            DoorReply::SentOut => [
                'You were sent out',
                'For this session you stay out. Talk to your teacher afterwards. '.$next,
                '',
            ],
            DoorReply::PassElsewhere => [
                'This pass is in use in another browser',
                'A pass lets in one person. If it is yours and you have changed devices, ask here: the teacher sees '.
                'both and decides.',
                '',
            ],
            DoorReply::Over => ['This one is over', $next, ''],
            DoorReply::Left => [
                'You are no longer in this class',
                'Thank you for having been there. If that is a mistake, tell your school.',
                '',
            ],
            DoorReply::Ahead => [
                'You are not in this class yet',
                'Your part in it begins later; this link opens from then on.',
                '',
            ],
            DoorReply::Moved => [
                'Moved to another day',
                $session === null ? $next : 'It is held '.$this->moment($session->start).'.',
                '',
            ],
            DoorReply::Cancelled => [
                'No class today',
                'Because: '.($session->reason ?? 'cancelled').'. '.$next,
                '',
            ],
            DoorReply::Replaced => [
                'This link was replaced',
                'Your new link stands on your own page, on the course page and in your calendar.',
                '',
            ],
            DoorReply::Shut => [
                'The door is shut',
                $opens === ''
                    ? 'Your school has hidden this door. You will see it here when it opens.'
                    : "It opens $opens.",
                '',
            ],
            DoorReply::Expired => ['This pass is no longer good', 'Ask whoever invited you for a new one.', ''],
            DoorReply::NotYours => [
                'This is somebody else\'s link',
                'A personal link lets in one person only: the account that was registered. Yours stands on your own '.
                'page.',
                '',
            ],
            DoorReply::NotOnRoster => [
                'This class is not one of yours',
                'If it should be, your school can enrol you.',
                '',
            ],
            DoorReply::RegisterFirst => [
                'You are not registered yet',
                'You have to be registered for this class first. Where your class takes registrations, do it on its '.
                'registration page; else ask your teacher.',
                '',
            ],
            DoorReply::Waiting => [
                'Your registration is waiting',
                'Somebody compares it with the roster. Come back later.',
                '',
            ],
            DoorReply::Declined => [
                'You are not registered for this class',
                'Your registration was declined. Ask your teacher why.',
                '',
            ],
        };
    }

    /** `at `, or `on Thu 18 Feb at ` where it is another day. */
    private function day(int $at): string
    {
        $day = $this->zone->dateAt($at);

        return $day->day === $this->zone->dateAt($this->now)->day ? 'at ' : "on {$day->short()} at ";
    }

    /** `at 08:50 your time, 09:50 in Madrid`; another day is named first. */
    private function moment(int $at): string
    {
        $day = $this->zone->dateAt($at);
        $date = $day->day === $this->zone->dateAt($this->now)->day ? '' : $day->short().' ';
        $differs = $this->zone->offsetAt($at) !== $this->school->offsetAt($at);

        return $date.
            'at '.
            $this->zone->clock($at).
            ($differs ? ' your time, '.$this->school->clock($at).' in '.$this->school->place() : '');
    }

    /**
     * Now, the doors, the start and the end as stops on a line 354 wide; nothing where the answer is not about a moment
     * to wait for.
     *
     * @return list<array{x: float, time: string, words: string, kind: string}>
     */
    public function stops(DoorAnswer $answer): array
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
        $points = [
            [$opens, 'doors open', 'open'],
            [$session->start, 'starts', 'start'],
            [$session->end, 'over', 'end'],
        ];
        $x = [140.0, 232.0, 324.0];
        $nowX = match (true) {
            $now < $opens => max(24.0, 140.0 - max(44.0, min(112.0, (($opens - $now) / 60) * 1.2))),
            $now < $session->start => $x[0] + (($now - $opens) / max(1, $session->start - $opens)) * 92,
            default => $x[1] + (($now - $session->start) / max(1, $session->end - $session->start)) * 92,
        };
        // On another day the weekdays are named, so that nobody reads 09:50 as this morning's.
        $name = fn (int $at): string => $zone->dateAt($opens)->day === $zone->dateAt($now)->day
            ? ''
            : substr($zone->dateAt($at)->short(), 0, 4);
        $out = [
            ['x' => round($nowX, 1), 'time' => $name($now).$zone->clock($now), 'words' => 'now', 'kind' => 'now'],
        ];
        foreach ($points as $i => [$at, $words, $kind]) {
            $out[] = ['x' => $x[$i], 'time' => $name($at).$zone->clock($at), 'words' => $words, 'kind' => $kind];
        }

        return $out;
    }

    /**
     * @param  list<PlannedSession>  $sessions
     * @return list<string> the sessions after this one
     */
    public function next(array $sessions, DoorAnswer $answer): array
    {
        $coming = array_filter(
            $sessions,
            fn (PlannedSession $s): bool => $s->state === SessionState::Planned &&
                $s->start > max($this->now, $answer->session->start ?? 0),
        );

        return array_map(
            fn (PlannedSession $s): string => $this->zone->dateAt($s->start)->short().
                ' '.
                $this->zone->clock($s->start),
            array_slice(array_values($coming), 0, 3),
        );
    }
}
