<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Nomada\App\Support\Words;

/**
 * What a change of the school calendar does to the coming sessions of a term: how many series change, how many sessions
 * stay, move, come, go, are lost; and what was decided of single sessions, that waits from now on or holds again.
 */
final readonly class CalendarEffect
{
    /**
     * @param  int  $sections  whose sessions change
     * @param  list<array{section: string, what: string}>  $waiting  moves, extras, make-ups, titles, notes, other
     *   teachers, cancellations and doors of single sessions that wait, and whose
     * @param  list<array{section: string, what: string}>  $back  those that hold again
     */
    public function __construct(
        public int $series = 0,
        public int $sections = 0,
        public int $stay = 0,
        public int $move = 0,
        public int $come = 0,
        public int $go = 0,
        public int $lost = 0,
        public array $waiting = [],
        public array $back = [],
    ) {
    }

    public function words(): string
    {
        $parts = array_filter([
            $this->move > 0 ? Words::count($this->move, 'session').' move'.($this->move === 1 ? 's' : '') : '',
            $this->come > 0 ? "$this->come new" : '',
            $this->go > 0 ? "$this->go fall away" : '',
            $this->lost > 0 ? "$this->lost lost" : '',
            $this->waiting !== []
                ? Words::count(count($this->waiting), 'change').
                    ' of single sessions wait'.
                    (count($this->waiting) === 1 ? 's' : '')
                : '',
            $this->back !== []
                ? Words::count(count($this->back), 'change').
                    ' of single sessions hold'.
                    (count($this->back) === 1 ? 's' : '').
                    ' again'
                : '',
        ]);

        return $parts === [] ? 'no session changes' : implode(', ', $parts).' ('.$this->series.' series)';
    }
}
