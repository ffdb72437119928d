<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

/** One change of a door, a link or a registration. */
final readonly class AuditLine
{
    /** @param  string|null  $by  null where nobody did it */
    public function __construct(
        public string $at,
        public ?string $by,
        public string $series,
        public string $words,
    ) {
    }
}
