<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;

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
        $counts = [
            'move' => $this->move,
            'come' => $this->come,
            'go' => $this->go,
            'lost' => $this->lost,
            'wait' => count($this->waiting),
            'hold' => count($this->back),
        ];
        $parts = [];
        foreach (array_filter($counts) as $what => $n) {
            $parts[] = new Said("effect.$what", ['n' => $n]);
        }

        return Say::this(
            $parts === []
                ? new Said('effect.none')
                : new Said('effect.of_series', ['what' => $parts, 'series' => $this->series]),
        );
    }
}
