<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\FreeTime;
use Nomada\Core\Timetable\SeriesPlan;

/** What a plan makes, before it is saved. */
final readonly class PreviewPage
{
    /**
     * @param  string  $sentence  when it meets
     * @param  int  $held  sessions that it makes, $past of them over, $minutes long together
     * @param  array<string, list<int>>  $days  day numbers by the state of their sessions
     * @param  list<string>  $warnings  what reads like a slip
     * @param  FreeTime|null  $cost  who would be in two places; null where nobody is asked about
     * @param  array<string, list<string>>  $lost  days by why they are closed
     * @param  array<string, int>|null  $effect  on the coming sessions (see ScheduleReconciliation); null for a new
     *   series
     * @param  list<string>  $fallen  changes of single sessions that are dropped
     */
    public function __construct(
        public SeriesPlan $plan,
        public string $sentence,
        public int $held,
        public int $past,
        public int $minutes,
        public ?LocalDate $first,
        public ?LocalDate $last,
        public TermLine $line,
        public array $days,
        public int $today,
        public int $minute,
        public array $warnings,
        public ?FreeTime $cost,
        public array $lost,
        public ?array $effect,
        public array $fallen,
    ) {
    }

    /** @return 'fault'|'warn'|'said' of what it costs */
    public function tone(): string
    {
        return match (true) {
            $this->cost === null => 'said',
            $this->cost->clear < $this->cost->sessions => 'fault',
            $this->cost->students > 0 => 'warn',
            default => 'said',
        };
    }
}
