<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Moves;

use Nomada\App\Support\FaultWords;
use Nomada\Core\Fault;

/** What a set of moves would do, or why it cannot be made. */
final readonly class MovesPreview
{
    /**
     * @param  array<int|string, string>  $faults  by number of the line (from 0), `moves` for the set as a whole, or
     *   `add`
     * @param  array<int, list<string>>  $effects  by number of the line, each in words
     * @param  list<string>  $before  the clashes of the sections concerned, in words, as they are
     * @param  list<string>  $after  as they would be
     */
    public function __construct(
        public array $faults = [],
        public array $effects = [],
        public array $before = [],
        public array $after = [],
    ) {
    }

    /**
     * Where it was refused: the fault names its line (`moves.0`), the set (`moves`), or the field that adds (`add`).
     */
    public static function refused(Fault $fault): self
    {
        $line = str_starts_with($fault->field, 'moves.') ? (int) substr($fault->field, 6) : $fault->field;

        return new self([$line => FaultWords::of($fault)]);
    }

    public function canBeMade(): bool
    {
        return $this->faults === [];
    }
}
