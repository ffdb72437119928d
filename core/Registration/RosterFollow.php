<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

/**
 * What must happen for the registrations of a series to be its section's roster on a day.
 *
 * An enrolment counts from its begin date to its end date, both inclusive; one that begins later is a late joiner, and
 * is registered already, so that nobody has to remember the day.
 */
final readonly class RosterFollow
{
    /**
     * @param  list<int>  $join  people to be registered
     * @param  list<int>  $leave  people whose registration is withdrawn
     */
    private function __construct(public array $join, public array $leave)
    {
    }

    /**
     * @param  array<int, ?string>  $roster  person => the last day of the enrolment (ISO), null for none
     * @param  list<int>  $registered  people with an accepted registration
     * @param  string  $today  ISO date on the school's clock
     */
    public static function between(array $roster, array $registered, string $today): self
    {
        $enrolled = array_keys(array_filter($roster, fn (?string $ends): bool => $ends === null || $ends >= $today));

        return new self(
            array_values(array_diff($enrolled, $registered)),
            array_values(array_diff($registered, $enrolled)),
        );
    }
}
