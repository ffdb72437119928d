<?php

declare(strict_types=1);

namespace Nomada\App\View\Term\Calendar;

use Nomada\App\View\Term\CalendarHistory;
use Nomada\Core\Term\Term;

/**
 * The term as weeks: which days are open, which closed and why, how many sessions each has, and when the clocks change.
 */
final readonly class TermPage
{
    /**
     * @param  list<TermRow>  $terms  all of the school's
     */
    public function __construct(
        public int $id,
        public string $title,
        public Term $calendar,
        public int $openDays,
        public array $terms,
        public bool $mayChange,
        public TermWeeks $grid,
        public TermClosures $closures,
        public CalendarHistory $history,
        public TermDays $usual,
    ) {
    }

    /** @return list<TermRow> */
    public function others(): array
    {
        return array_values(array_filter($this->terms, fn (TermRow $t): bool => $t->id !== $this->id));
    }
}
