<?php

declare(strict_types=1);

namespace Nomada\Core;

use Nomada\Core\Language\Said;

/** A named thing that is wrong or missing, with where to fix it. */
final readonly class Issue
{
    /**
     * @param  string  $kind  no-series, no-link, not-registered, refused, changed, not-published, absences,
     *   changed-there, truth, no-account, beyond
     * @param  bool  $isWrong  something is wrong, not only still to do
     * @param  string  $where  the stop at which it is fixed: timetable, joining, registration, publishing, records
     */
    public function __construct(
        public string $kind,
        public bool $isWrong,
        public Said $words,
        public string $where,
    ) {
    }
}
