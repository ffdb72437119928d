<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Presence;

use Nomada\Core\Term\LocalDate;

/** A session that has begun, as attendance looks at it. */
final readonly class HeldSession
{
    /**
     * @param  int  $end  UTC seconds at which it ends, was ended for everybody, or now where it still runs
     * @param  list<int>|null  $chosen  the students whom it is for; null for the whole roster
     * @param  bool  $isTold  whether anything is known of who was there
     * @param  bool  $isRunning  it goes on: nothing is final
     */
    public function __construct(
        public int $id,
        public int $series,
        public LocalDate $day,
        public int $start,
        public int $end,
        public int $planned,
        public ?int $substitute,
        public string $topic,
        public bool $isTold,
        public bool $isRunning,
        public ?array $chosen = null,
    ) {
    }

    public function isFor(int $student): bool
    {
        return $this->chosen === null || in_array($student, $this->chosen, true);
    }
}
