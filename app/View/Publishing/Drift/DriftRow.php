<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Drift;

use Nomada\Core\Publishing\FieldChange;
use Nomada\Core\Publishing\Place;

/** One placement that somebody else has changed or deleted, or that is left alone. */
final readonly class DriftRow
{
    /** @param  list<FieldChange>|null  $changes  ours before, theirs after; null where it was deleted there */
    public function __construct(
        public int $placement,
        public string $section,
        public string $name,
        public Place $place,
        public string $label,
        public ?array $changes,
    ) {
    }
}
