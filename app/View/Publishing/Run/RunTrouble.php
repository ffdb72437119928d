<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Run;

/** What a destination said of one step or of many, folded to one line; the section and label are those of the first. */
final readonly class RunTrouble
{
    public function __construct(
        public string $lane,
        public string $state,
        public string $verb,
        public string $words,
        public int $steps,
        public int $sections,
        public string $label,
        public int $tries,
        public string $section,
        public string $name,
    ) {
    }
}
