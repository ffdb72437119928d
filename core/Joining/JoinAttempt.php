<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Belonging\Belonging;
use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Timetable\PlannedSession;

/** Everything that the door is asked with: the link, the sessions behind it, who knocks, and what the room is like. */
final readonly class JoinAttempt
{
    /**
     * @param  int|null  $holder  the person whom a personal link belongs to
     * @param  list<PlannedSession>  $sessions  of the series, ascending, lost and cancelled ones too
     * @param  int|null  $expires  UTC seconds after which a guest pass is worth nothing
     * @param  int|null  $only  the day of the one session that a guest pass is for
     * @param  array{int, int}|null  $openHours  of a drop-in room: UTC start and end of the hours that hold now or
     *   come next; null where none is left
     * @param  bool  $isHeldElsewhere  a guest's pass that another browser keeps
     * @param  Belonging|null  $belonging  the visitor's parts; where null, `visitor` says what holds for every session
     */
    public function __construct(
        public LinkKind $kind,
        public array $sessions,
        public Visitor $visitor,
        public ?int $holder = null,
        public bool $isRetired = false,
        public bool $isHidden = false,
        public ?int $expires = null,
        public ?int $only = null,
        public RoomState $room = new RoomState(),
        public ?array $openHours = null,
        public ?Belonging $belonging = null,
        public bool $isHeldElsewhere = false,
    ) {
    }

    /**
     * The same for the sessions that are the visitor's own: a leaver has those until the last day, a joiner those from
     * the first, a substitute exactly one. Anybody who has no part at all stands before all of them as a stranger.
     */
    public function ofTheirs(): self
    {
        if ($this->belonging === null) {
            return $this;
        }
        $theirs = array_filter(
            $this->sessions,
            fn (PlannedSession $s): bool => $this->standing($s)->isTheirs() ||
                $this->standing($s) === SessionRole::Absent,
        );

        // A stranger stands before all of them, but for those that are for chosen students; a guest before any.
        $theirs =
            $theirs === [] && $this->kind !== LinkKind::Guest
                ? array_filter(
                    $this->sessions,
                    fn (PlannedSession $s): bool => $this->standing($s) !== SessionRole::NotChosen,
                )
                : $theirs;

        return $theirs === [] && $this->kind === LinkKind::Guest
            ? $this
            : new self(...[...get_object_vars($this), 'sessions' => array_values($theirs)]);
    }

    /** The same as somebody asks who has no part in the class: before every session that is for everybody. */
    public function asStranger(): self
    {
        return new self(
            ...[
                ...get_object_vars($this),
                'sessions' => array_values(
                    array_filter($this->sessions, fn (PlannedSession $s): bool => $s->own?->chosen === null),
                ),
                'belonging' => new Belonging($this->visitor->person),
            ],
        );
    }

    /** What the visitor is to a session. */
    public function standing(PlannedSession $session): SessionRole
    {
        return $this->belonging?->on($session->day, $session->own?->teacher, $session->own?->chosen) ??
            ($this->visitor->isHost
                ? SessionRole::Host
                : ($this->visitor->isOnRoster
                    ? SessionRole::Student
                    : SessionRole::None));
    }

    /** Who is there, as far as one session is concerned; without one, on a day. */
    public function visitorFor(?PlannedSession $session, int $day): Visitor
    {
        if ($this->belonging === null) {
            return $this->visitor;
        }
        $standing = $session === null ? $this->belonging->on($day) : $this->standing($session);

        return new Visitor(
            $this->visitor->person,
            $standing === SessionRole::Host,
            $standing === SessionRole::Student,
            in_array($standing, [SessionRole::Left, SessionRole::Ahead, SessionRole::NotChosen], true)
                ? null
                : $this->visitor->registration,
            $this->visitor->isSchool,
            $standing->looks(),
        );
    }
}
