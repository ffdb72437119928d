<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Belonging\MembershipRole;

/** Somebody whose calendar the section's sessions are in, with the link of each series that is their own. */
final readonly class Reader
{
    /**
     * @param  array<int, string>  $links by series
     * @param  string|null  $language  in which they read; null for the section's
     */
    public function __construct(
        public string $person,
        public string $name,
        public MembershipRole $role,
        public array $links,
        public ?string $language = null,
    ) {
    }
}
