<?php

declare(strict_types=1);

namespace Nomada\App\Policies;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;

/**
 * The coordinator does everything; teachers look after joining, registration and publishing of their own sections, and
 * after single sessions as far as the school lets them; series are the coordinator's. Whose part is over may nothing;
 * whose part begins later, or who takes a single session, may look.
 */
final class SectionPolicy
{
    public function view(Person $person, Section $section): bool
    {
        return $person->isCoordinator() ||
            ($person->isStaff() && Section::query()->whereKey($section->id)->seenBy($person)->exists());
    }

    public function timetable(Person $person, Section $section): bool
    {
        return $person->isCoordinator();
    }

    /** Change its sessions, or ask for it: what exactly, the school says (TeacherRights). */
    public function change(Person $person, Section $section): bool
    {
        return $person->isCoordinator() ||
            ($this->serve($person, $section) && $section->teacherRights()->allowAnything());
    }

    /** Make links, register the roster, publish. */
    public function serve(Person $person, Section $section): bool
    {
        return $person->isCoordinator() ||
            ($person->isStaff() && Section::query()->whereKey($section->id)->servedBy($person)->exists());
    }
}
