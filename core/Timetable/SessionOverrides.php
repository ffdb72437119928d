<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

use Nomada\Core\Language\Said;
use Nomada\Core\Term\LocalDate;

/**
 * What one session has that its series does not give it: another day or time, a cancellation, another teacher, a title,
 * a note, a door of its own, its topic, students whom alone it is for; or that it is an extra one.
 *
 * All of it is decided by somebody and stays decided: on a closed day it waits, and holds again when the day opens.
 */
final readonly class SessionOverrides
{
    /**
     * @param  int|null  $slot  the date of the pattern, where the session was moved or lengthened
     * @param  bool  $isExtra  added by hand, beside the pattern
     * @param  int|null  $makesUp  the day of the lost or cancelled session that an extra one makes up
     * @param  int|null  $teacher  who teaches this one instead
     * @param  int|null  $account  the host account of this one, where it is not the series'
     * @param  string|null  $teacherName  who that is, where it is shown
     * @param  array<string, mixed>|null  $door  what its door has that the series' has not; floor likewise (see
     *   DoorRules::from)
     * @param  array<string, mixed>|null  $floor
     * @param  string|null  $cancelled  why it is cancelled
     * @param  list<int>|null  $chosen  the students whom it is for, where it is not for the whole roster
     * @param  bool  $takesTopic  false where no topic of the series' list is laid over it
     * @param  bool  $keepsTopic  a session that is not held keeps its topic; otherwise the next one takes it
     */
    public function __construct(
        public ?int $slot = null,
        public bool $isExtra = false,
        public ?int $makesUp = null,
        public ?string $title = null,
        public ?string $note = null,
        public ?int $teacher = null,
        public ?string $topic = null,
        public ?int $account = null,
        public ?string $teacherName = null,
        public ?array $door = null,
        public ?array $floor = null,
        public ?string $cancelled = null,
        public bool $keepsTopic = false,
        public ?array $chosen = null,
        public bool $takesTopic = true,
    ) {
    }

    /** Whether a person changed something of this session; a topic alone is the series' doing. */
    public function isException(): bool
    {
        return $this->slot !== null ||
            $this->isExtra ||
            $this->title !== null ||
            $this->note !== null ||
            $this->teacher !== null ||
            $this->door !== null ||
            $this->floor !== null ||
            $this->chosen !== null ||
            $this->cancelled !== null;
    }

    public function isEmpty(): bool
    {
        return ! $this->isException() && $this->topic === null && $this->account === null;
    }

    public function withTopic(?string $topic): self
    {
        return new self(...[...get_object_vars($this), 'topic' => $topic]);
    }

    /** What is told of it in a list: "moved from Thu 18 Feb", "makes up Mon 15 Feb". */
    public function said(): ?Said
    {
        $whom = count($this->chosen ?? []);

        return match (true) {
            $this->makesUp !== null => self::forSome(
                new Said('decided.makes_up', ['day' => new LocalDate($this->makesUp)]),
                $whom,
            ),
            $this->isExtra => self::forSome(new Said('decided.extra'), $whom),
            $this->slot !== null => new Said('decided.moved_from', ['day' => new LocalDate($this->slot)]),
            default => null,
        };
    }

    private static function forSome(Said $said, int $whom): Said
    {
        return $whom === 0 ? $said : Said::list([$said, new Said('decided.for', ['n' => $whom])]);
    }
}
