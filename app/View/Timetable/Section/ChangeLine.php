<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

/** One change in the history of a section's series. */
final readonly class ChangeLine
{
    /**
     * @param  string  $at  day and time on the school's clock
     * @param  string|null  $by  null where an import made it
     * @param  string|null  $undoneBy  null where it is
     * @param  int  $together  how many series were changed in the same step, this one among them
     */
    public function __construct(
        public int $id,
        public string $at,
        public ?string $by,
        public string $words,
        public bool $isUndone,
        public ?string $undoneBy,
        public bool $mayTell,
        public bool $mayUndo,
        public int $together = 1,
    ) {
    }
}
