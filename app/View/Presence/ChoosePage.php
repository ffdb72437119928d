<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;

/** Whom a lesson that begins now is for. */
final readonly class ChoosePage
{
    /** @param  list<Person>  $students  today's roster, by name */
    public function __construct(
        public Section $section,
        public array $students,
        public int $minutes,
        public bool $takesTopic,
    ) {
    }
}
