<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * One dated member of a series. `day` is the date in the series' zone as a day number; `start` and `end` are UTC
 * seconds. A lost session carries the reason why its day is closed. What is particular to this one session is in `own`;
 * null for most. `id` is what everything about it hangs on (registrations, passes, materials, presence, recordings,
 * answers), whatever day it is held on; null until it is kept.
 */
final readonly class PlannedSession
{
    public function __construct(
        public int $day,
        public int $start,
        public int $end,
        public SessionState $state = SessionState::Planned,
        public ?string $reason = null,
        public ?SessionOverrides $own = null,
        public ?int $id = null,
    ) {
    }

    /** The date of the pattern that made it, whatever day it is held on; null for an extra one. */
    public function slot(): ?int
    {
        return $this->own?->isExtra === true ? null : $this->own->slot ?? $this->day;
    }

    public function isExtra(): bool
    {
        return $this->own !== null && $this->own->isExtra;
    }

    public function isMoved(): bool
    {
        return $this->own !== null && $this->own->slot !== null;
    }

    /** Whether it is the whole roster's; one for chosen students stands nowhere but with them and their teachers. */
    public function isForAll(): bool
    {
        return $this->own?->chosen === null;
    }

    /** The same, cancelled. */
    public function cancelled(string $reason): self
    {
        $own = new SessionOverrides(
            ...[...get_object_vars($this->own ?? new SessionOverrides()), 'cancelled' => $reason],
        );

        return new self($this->day, $this->start, $this->end, SessionState::Cancelled, $reason, $own, $this->id);
    }

    public function with(?SessionOverrides $own): self
    {
        return new self($this->day, $this->start, $this->end, $this->state, $this->reason, $own, $this->id);
    }

    /** The same, as the session that is kept under this id. */
    public function as(?int $id): self
    {
        return new self($this->day, $this->start, $this->end, $this->state, $this->reason, $this->own, $id);
    }
}
