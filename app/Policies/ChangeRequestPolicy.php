<?php

declare(strict_types=1);

namespace Nomada\App\Policies;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\ChangeRequest;

/** Coordinators decide requests; who asked can take theirs back. */
final class ChangeRequestPolicy
{
    public function decide(Person $person, ChangeRequest $request): bool
    {
        return $person->isCoordinator();
    }

    public function withdraw(Person $person, ChangeRequest $request): bool
    {
        return $request->person_id === $person->id;
    }
}
