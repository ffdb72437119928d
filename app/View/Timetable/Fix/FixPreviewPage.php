<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

/** What accepting an answer would do. */
final readonly class FixPreviewPage
{
    /**
     * @param  string  $kind  of {@see \Nomada\Core\Timetable\Solver\Question}
     * @param  list<array{series: int, name: string, code: string, effect: string, drops: list<string>}>  $lines  a
     *   series each
     * @param  list<string>  $before  clashes of the sections concerned, in words
     * @param  list<string>  $after
     * @param  string  $fault  why it cannot be done; '' where it can
     * @param  list<int>  $out  series whose moves are left out
     */
    public function __construct(
        public string $kind,
        public int $run,
        public int $answer,
        public array $lines,
        public array $before,
        public array $after,
        public string $people,
        public string $fault,
        public array $out = [],
    ) {
    }
}
