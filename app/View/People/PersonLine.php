<?php

declare(strict_types=1);

namespace Nomada\App\View\People;

use Nomada\Core\Belonging\Role;

/** One person in the list of all. */
final readonly class PersonLine
{
    public function __construct(
        public string $sourcedId,
        public string $name,
        public Role $role,
        public string $year,
        public string $sections,
        public ?string $email,
    ) {
    }
}
