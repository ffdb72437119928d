<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\Core\Presence\Status;
use Nomada\Core\Term\LocalDate;

/** One session in a section's table. */
final readonly class SessionColumn
{
    /**
     * @param  array<string, int>  $sums  by status
     * @param  string|null  $recording  its state
     */
    public function __construct(
        public int $session,
        public LocalDate $day,
        public string $time,
        public string $topic,
        public bool $isTold,
        public bool $isRunning,
        public array $sums,
        public ?string $recording,
    ) {
    }

    public function came(): int
    {
        return $this->sums[Status::Present->value] +
            $this->sums[Status::Late->value] +
            $this->sums[Status::Partial->value];
    }

    public function all(): int
    {
        return array_sum($this->sums);
    }
}
