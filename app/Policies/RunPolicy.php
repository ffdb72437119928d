<?php

declare(strict_types=1);

namespace Nomada\App\Policies;

use Nomada\App\Models\Publishing\Run;
use Nomada\App\Models\Term\Person;

/** A run is seen, and its rest tried again, by who started it and by the coordinator. */
final class RunPolicy
{
    public function view(Person $person, Run $run): bool
    {
        return $person->isCoordinator() || ($person->isStaff() && $run->started_by === $person->id);
    }
}
