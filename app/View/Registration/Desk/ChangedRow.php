<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Desk;

/** Somebody who joined or left a roster, and whether the registrations have followed. */
final readonly class ChangedRow
{
    /** @param  'joined'|'leaves'|'left'  $what */
    public function __construct(
        public string $name,
        public string $section,
        public string $sectionId,
        public string $what,
        public string $on,
        public bool $isDone,
    ) {
    }
}
