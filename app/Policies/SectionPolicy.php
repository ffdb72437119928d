<?php

declare(strict_types=1);

namespace Nomada\App\Policies;

use Nomada\App\Models\Term\Enrolment;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;

/**
 * The coordinator does everything; teachers look after joining, registration and publishing of their own sections; the
 * timetable is the coordinator's.
 */
final class SectionPolicy
{
    public function view(Person $person, Section $section): bool
    {
        return $person->isCoordinator() ||
            ($person->isStaff() && $this->hasPart($person, $section, ['teacher', 'co-teacher', 'observer']));
    }

    public function timetable(Person $person, Section $section): bool
    {
        return $person->isCoordinator();
    }

    /** Make links, register the roster, publish. */
    public function serve(Person $person, Section $section): bool
    {
        return $person->isCoordinator() ||
            ($person->isStaff() && $this->hasPart($person, $section, ['teacher', 'co-teacher']));
    }

    /** @param  list<string>  $roles */
    private function hasPart(Person $person, Section $section, array $roles): bool
    {
        return Enrolment::query()
            ->where('section_id', $section->id)
            ->where('person_id', $person->id)
            ->whereIn('role', $roles)
            ->exists();
    }
}
