<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

use Nomada\Core\Fault;

/** What a teacher says instead of what was computed, and why. */
final readonly class Correction
{
    /**
     * @param  int|null  $minutes  null where only the status is another
     *
     * @throws Fault without a reason, or with minutes that no session has
     */
    public function __construct(
        public Status $status,
        public ?int $minutes,
        public string $why,
        public string $by = '',
    ) {
        if (trim($why) === '') {
            throw new Fault('attendance.why', 'why');
        }
        if ($minutes !== null && ($minutes < 0 || $minutes > 1440)) {
            throw new Fault('attendance.minutes', 'minutes');
        }
    }
}
