<?php

declare(strict_types=1);

namespace Nomada\App\View\Registration\Me;

use Nomada\App\Models\Term\Person;
use Nomada\App\View\Publishing\MaterialRow;
use Nomada\App\View\Recording\ReleasedRecording;
use Nomada\Core\Belonging\Role;

/** A student's own page: the coming sessions on their own clock, their own links, and where else to look. */
final readonly class MePage
{
    /**
     * @param  string  $place  whose clock it is
     * @param  string  $school  the school's, where that is another; or empty
     * @param  list<ComingSession>  $coming
     * @param  array<int, string>  $links  the student's own, by series
     * @param  list<RoomLine>  $rooms
     * @param  list<MaterialRow>  $materials
     * @param  list<RegistrationLine>  $registrations
     * @param  list<ReleasedRecording>  $recordings
     * @param  list<SectionLinks>  $places
     * @param  string|null  $calendar  addresses of the stand-ins; null where the school has its own
     */
    public function __construct(
        public Person $person,
        public string $place,
        public string $school,
        public array $coming,
        public array $links,
        public array $rooms,
        public array $materials,
        public array $registrations,
        public array $recordings,
        public array $places,
        public ?string $calendar,
        public ?string $post,
        public string $feed,
    ) {
    }

    public function isGuardian(): bool
    {
        return $this->person->role === Role::Guardian;
    }

    public function isStudent(): bool
    {
        return $this->person->role === Role::Student;
    }

    /** Whether somebody can register for a series here, who has no link yet. */
    public function registers(int $series): bool
    {
        return in_array($series, array_map(fn (RegistrationLine $r): int => $r->series, $this->registrations), true);
    }
}
