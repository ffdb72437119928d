<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Closure;

/** How long the solver may look, and whether somebody has stopped it. */
final class Deadline
{
    private float $begun;

    private bool $isOver = false;

    /**
     * @param  Closure(): float  $clock  seconds, with fractions
     * @param  Closure(float): bool|null  $goesOn  told from time to time how many seconds have passed; false stops it
     */
    public function __construct(
        private readonly Closure $clock,
        private readonly float $seconds,
        private readonly ?Closure $goesOn = null,
    ) {
        $this->begun = $clock();
    }

    public function passed(): float
    {
        return ($this->clock)() - $this->begun;
    }

    public function isOver(): bool
    {
        if (! $this->isOver) {
            $passed = $this->passed();
            $this->isOver = $passed >= $this->seconds || ($this->goesOn !== null && ! ($this->goesOn)($passed));
        }

        return $this->isOver;
    }
}
