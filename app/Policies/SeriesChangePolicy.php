<?php

declare(strict_types=1);

namespace Nomada\App\Policies;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\SeriesChange;

/** Who may take back a change of a series: a coordinator any, a teacher what they have changed themselves. */
final class SeriesChangePolicy
{
    public function undo(Person $person, SeriesChange $change): bool
    {
        return $person->isCoordinator() || $change->person_id === $person->id;
    }
}
