<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Nomada\App\Models\Publishing\Placement as Standing;
use Nomada\Core\Publishing\Placement;

/**
 * One place that we publish to. Both verbs are idempotent: doing one again after a crash, or after an answer that got
 * lost, leaves the placement standing exactly once (or not at all).
 */
interface Destination
{
    /** @throws DestinationFailure */
    public function put(Placement $wanted, Standing $standing): Receipt;

    /** @throws DestinationFailure */
    public function remove(Standing $standing): void;
}
