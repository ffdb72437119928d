<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Records;

use Nomada\Core\Recording\RecordingState;

/** One session of the past. */
final readonly class SessionRecord
{
    /**
     * @param  bool  $isHeld  not lost, and not cancelled
     * @param  int|null  $came  null where nobody knows who was there
     * @param  RecordingState|null  $state  the recording's
     */
    public function __construct(
        public int $id,
        public string $section,
        public string $name,
        public string $topic,
        public string $time,
        public bool $isHeld,
        public string $reason,
        public bool $isRunning,
        public bool $makesUp,
        public ?int $came,
        public int $late,
        public int $absent,
        public int $excused,
        public int $guests,
        public ?int $recording,
        public ?RecordingState $state,
        public ?string $trouble,
    ) {
    }

    /** What is left to do: a key of words; null where nothing is. */
    public function left(): ?string
    {
        return match (true) {
            ! $this->isHeld || $this->isRunning => null,
            $this->came === null => 'presence',
            $this->state === RecordingState::Ready => 'release',
            $this->state === RecordingState::Failed => 'failed',
            default => null,
        };
    }
}
