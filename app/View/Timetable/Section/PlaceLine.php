<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Section;

/** What is of a section at one kind of place. */
final readonly class PlaceLine
{
    /** @param  string|null  $address  where it can be opened */
    public function __construct(
        public string $title,
        public int $standing,
        public int $left,
        public int $refused,
        public ?string $address,
    ) {
    }
}
