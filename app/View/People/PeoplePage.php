<?php

declare(strict_types=1);

namespace Nomada\App\View\People;

use Nomada\App\View\Address;
use Nomada\Core\Belonging\Role;

/** A page of the people who were looked for. */
final readonly class PeoplePage
{
    public Address $person;

    /**
     * @param  string  $typed  what was searched for
     * @param  Role|null  $role  null for all
     * @param  'email'|'disabled'|''  $lacks
     * @param  int  $n  how many were found
     * @param  list<PersonLine>  $people  of this page
     */
    public function __construct(
        public string $typed,
        public ?Role $role,
        public string $lacks,
        public int $n,
        public int $page,
        public int $pages,
        public array $people,
    ) {
        $this->person = Address::of('person');
    }

    /**
     * The address of the same search with something else.
     *
     * @param  array<string, string|int>  $with
     */
    public function with(array $with): string
    {
        $now = ['q' => $this->typed, 'role' => (string) $this->role?->value, 'lacks' => $this->lacks];

        return route('people', array_filter([...$now, ...$with], fn (string|int $v): bool => $v !== ''));
    }
}
