<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Closure;

/** A series as the solver sees it: where it is, and where else it may be. */
final class MovableSeries
{
    /** @var list<Candidate>|null */
    private ?array $candidates = null;

    /**
     * @param  int  $id  below zero for sessions of a series that stay whatever the series does
     * @param  Closure(): list<Candidate>  $others  worked out when somebody asks
     * @param  int|null  $of  the series that it is a part of; itself where null
     */
    public function __construct(
        public readonly int $id,
        public readonly Candidate $now,
        public readonly bool $isPinned,
        private readonly Closure $others,
        private readonly ?int $of = null,
    ) {
    }

    public function series(): int
    {
        return $this->of ?? $this->id;
    }

    /** @return list<Candidate> all places but the one where it is; none where it is pinned */
    public function candidates(): array
    {
        return $this->candidates ??= $this->isPinned ? [] : ($this->others)();
    }
}
