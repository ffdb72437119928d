<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Joining;

use Nomada\Core\Joining\AdmissionDecision;
use Nomada\Core\Term\Zone;

/** What was decided about somebody at a link, and the room that the link leads to. */
final readonly class AdmissionAnswer
{
    /**
     * @param  string  $meeting  what the bridge knows the session, or the span of office hours, by
     * @param  Zone  $zone  the school's
     */
    public function __construct(
        public AdmissionDecision $decision,
        public Doorway $way,
        public string $meeting,
        public Zone $zone,
    ) {
    }
}
