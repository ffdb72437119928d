<?php

declare(strict_types=1);

namespace Nomada\Core\Joining;

use Nomada\Core\Timetable\PlannedSession;

/**
 * The door's answer: the reply, the session it is about, when its doors open (UTC seconds), and the next session after
 * that.
 */
final readonly class AdmissionDecision
{
    public function __construct(
        public DoorReply $reply,
        public ?PlannedSession $session = null,
        public ?int $opensAt = null,
        public ?PlannedSession $next = null,
        public bool $asHost = false,
        public bool $looks = false,
        public bool $asGuest = false,
    ) {
    }

    /** The same, for somebody who comes by a guest's pass and is nobody of the class. */
    public function forGuest(): self
    {
        return new self(
            $this->reply,
            $this->session,
            $this->opensAt,
            $this->next,
            $this->asHost,
            $this->looks,
            true,
        );
    }
}
