<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

/** One change of the calendar in its history. */
final readonly class CalendarHistoryRow
{
    /**
     * @param  string|null  $who  null where it came by an import or the console
     * @param  bool  $canUndo  false where it is taken back with its import
     */
    public function __construct(
        public int $id,
        public string $date,
        public string $time,
        public ?string $who,
        public string $words,
        public bool $isUndone,
        public bool $canUndo,
    ) {
    }
}
