<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

/** A place that a series could take in an arrangement as it is. */
final readonly class Option
{
    /**
     * @param  list<int>  $change  by how much the arrangement's score would change, in the order of {@see Score}
     * @param  array<int, int>  $clashes  how many must-fix clashes there would be, by the other series
     */
    public function __construct(public Candidate $candidate, public array $change, public array $clashes)
    {
    }
}
