<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Drift;

use Nomada\Core\Publishing\Place;

/** Something that somebody else has put where we publish. */
final readonly class AddedRow
{
    /** @param  string  $section  sourcedId */
    public function __construct(
        public int $id,
        public string $section,
        public string $name,
        public Place $place,
        public string $title,
    ) {
    }

    /** Whether it can be taken away from here. */
    public function canGo(): bool
    {
        return $this->place === Place::CoursePage;
    }
}
