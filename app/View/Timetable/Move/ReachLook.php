<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Move;

use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\Reach;

/** What one reach of a move would do, or why it cannot be. */
final readonly class ReachLook
{
    /**
     * @param  string|null  $fault  why it cannot be
     * @param  array<string, int>|null  $effect  on the coming sessions (see ScheduleReconciliation); null where one
     *   session moves
     * @param  list<string>  $fallen  changes of single sessions that are dropped
     * @param  FreeTime|null  $cost  null where nobody is asked about
     * @param  string|null  $then  when the series meets then
     */
    public function __construct(
        public Reach $reach,
        public ?string $fault = null,
        public ?array $effect = null,
        public array $fallen = [],
        public ?FreeTime $cost = null,
        public ?string $then = null,
    ) {
    }

    /** @return 'bad'|'todo'|'good' of what it costs */
    public function tone(): string
    {
        return match (true) {
            $this->cost === null => 'good',
            $this->cost->clear < $this->cost->sessions => 'bad',
            $this->cost->students > 0 => 'todo',
            default => 'good',
        };
    }
}
