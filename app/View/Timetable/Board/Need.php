<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

/** One thing that needs the coordinator, with where it is done. */
final readonly class Need
{
    /**
     * @param  string  $do  the words of its button
     * @param  string|null  $times  where free times for it are looked for; null where that is no question
     */
    public function __construct(
        public bool $isWrong,
        public string $words,
        public string $do,
        public string $url,
        public ?string $times = null,
    ) {
    }
}
