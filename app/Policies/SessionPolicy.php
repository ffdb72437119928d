<?php

declare(strict_types=1);

namespace Nomada\App\Policies;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\School;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Belongings;
use Nomada\App\Support\Clock;
use Nomada\Core\Belonging\SessionRole;
use Nomada\Core\Term\LocalDate;

/** One session: hosted by whom core's rule of belonging names, and open to the absent teacher, too. */
final class SessionPolicy
{
    public function __construct(private readonly Clock $clock)
    {
    }

    /** Let people in, send them out, end it; and afterwards whatever a host does about it. */
    public function host(Person $person, Session $session): bool
    {
        if ($person->isCoordinator() || ! $person->isStaff()) {
            return $person->isCoordinator();
        }
        $school = School::query()->orderBy('id')->firstOrFail();

        return Belongings::of($person->id, array_values($session->series->sectionIds()))->mayHost(
            LocalDate::parse($session->day)->day,
            $this->clock->schoolDay()->day,
            $session->teacher_id,
            $school->substitute_days,
        );
    }

    /** See who is there. */
    public function look(Person $person, Session $session): bool
    {
        return $this->host($person, $session) ||
            ($person->isStaff() &&
                LocalDate::parse($session->day)->day >= $this->clock->schoolDay()->day &&
                $this->standing($person, $session) === SessionRole::Absent);
    }

    private function standing(Person $person, Session $session): SessionRole
    {
        $belonging = Belongings::of($person->id, array_values($session->series->sectionIds()));

        return $belonging->on(LocalDate::parse($session->day)->day, $session->teacher_id, $session->chosen);
    }
}
