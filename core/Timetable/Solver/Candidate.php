<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\SeriesPlan;

/** Where a series may be: the weekdays and the start of a week's sessions, and all sessions that this makes. */
final readonly class Candidate
{
    /**
     * @param  list<int>  $weekdays  1 (Monday) to 7, ascending; the series' own where its pattern has others
     * @param  int  $start  minutes from midnight on the series' clock
     * @param  list<Block>  $blocks
     * @param  list<int>  $cost  of the place alone, in the order of {@see Score}
     * @param  SeriesPlan|null  $plan  that makes these sessions; null for the place where the series is
     * @param  list<string>  $troubles  why the place cannot stay, whatever the others do: `no_time` where there is
     *   none,
     *   `busy` (a teacher), `own_hours` (students), `shut` (the school), `no_account`
     */
    public function __construct(
        public array $weekdays,
        public int $start,
        public array $blocks,
        public array $cost = Score::NONE,
        public ?SeriesPlan $plan = null,
        public array $troubles = [],
    ) {
    }

    /** Where a series is that has no time yet: nowhere, which counts as one clash that must be fixed. */
    public static function nowhere(): self
    {
        return new self([], 0, [], array_replace(Score::NONE, [Score::MUST => 1]), null, ['no_time']);
    }

    public function isNowhere(): bool
    {
        return $this->blocks === [] && $this->plan === null;
    }

    /** @return list<string> `["mon","wed"]` */
    public function days(): array
    {
        return array_map(fn (int $d): string => strtolower(LocalDate::dayName($d)), $this->weekdays);
    }

    /** `09:15` */
    public function at(): string
    {
        return TypedTime::format($this->start);
    }

    /** The same for two candidates at the same days and time. */
    public function key(): string
    {
        return implode(',', $this->weekdays)." $this->start";
    }
}
