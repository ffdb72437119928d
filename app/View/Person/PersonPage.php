<?php

declare(strict_types=1);

namespace Nomada\App\View\Person;

use Nomada\App\Models\Term\Person;
use Nomada\App\View\People\EditForm;
use Nomada\App\View\Registration\Me\ComingSession;
use Nomada\Core\Belonging\Role;

/**
 * What staff see of one person: the sections they have in common (a coordinator: all), and the next sessions on that
 * person's clock.
 */
final readonly class PersonPage
{
    /**
     * @param  string  $clock  what time it is for them; $place where
     * @param  bool  $mayDisable  the viewer may remove their account, and give it back
     * @param  string|null  $disabledSince  a day
     * @param  bool  $mayConsent  the viewer writes down whether they agreed to be recorded
     * @param  array<string, string>  $sections  names by sourcedId
     * @param  list<ComingSession>  $coming
     * @param  int  $busy  busy times of their own
     * @param  string|null  $feed  secret addresses of a person who looks at their own page: a calendar, only when
     *   they are busy
     * @param  string|null  $post  their mailbox at the stand-in
     * @param  EditForm|null  $edit  null for all but coordinators
     */
    public function __construct(
        public Person $who,
        public string $clock,
        public string $place,
        public bool $mayDisable,
        public ?string $disabledSince,
        public bool $mayConsent,
        public array $sections,
        public array $coming,
        public int $busy,
        public ?string $feed,
        public ?string $busyFeed,
        public ?string $post,
        public ?EditForm $edit = null,
    ) {
    }

    /** What they are, and of a student the year. */
    public function role(): string
    {
        $role = __("frame.roles.{$this->who->role->value}");

        return $this->who->year === ''
            ? $role
            : "$role, ".__('section.people.year', ['year' => $this->who->year]);
    }

    public function isStudent(): bool
    {
        return $this->who->role === Role::Student;
    }
}
