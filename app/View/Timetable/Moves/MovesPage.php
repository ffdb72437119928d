<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Moves;

/** Several sessions that are moved in one step. */
final readonly class MovesPage
{
    /**
     * @param  list<MoveLine>  $lines
     * @param  MovesPreview|null  $preview  null before there is anything to show
     * @param  string  $add  the section code that was typed and refused
     */
    public function __construct(
        public array $lines,
        public ?MovesPreview $preview,
        public string $add = '',
    ) {
    }

    public function fault(int|string $line): string
    {
        return $this->preview->faults[$line] ?? '';
    }
}
