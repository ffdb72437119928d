<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Register;

/** How one registration of a student stands. */
final readonly class OwnRegistration
{
    /**
     * @param  string  $state  accepted, waiting, queued, declined or withdrawn
     * @param  string  $day  of the one session that it is for, or empty
     * @param  string|null  $reason  why it was declined
     * @param  int  $place  on the waiting list, from 1; 0 where it is on none
     */
    public function __construct(
        public int $id,
        public string $state,
        public string $day,
        public ?string $reason,
        public int $place,
    ) {
    }

    public function tone(): string
    {
        return ['accepted' => 'ok', 'declined' => 'bad'][$this->state] ?? 'todo';
    }

    /** Whether it still holds, and could be taken back. */
    public function holds(): bool
    {
        return in_array($this->state, ['accepted', 'waiting', 'queued'], true);
    }
}
