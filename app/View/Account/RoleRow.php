<?php

declare(strict_types=1);

namespace Nomada\App\View\Account;

use Nomada\Core\Belonging\Role;

/** How many of one role can sign in. */
final readonly class RoleRow
{
    /**
     * @param  int  $ready  have a password of their own
     * @param  int  $invited  have an invitation that is still good, and no password
     * @param  int  $silent  have no address to write to
     */
    public function __construct(
        public Role $role,
        public int $all,
        public int $ready,
        public int $invited,
        public int $silent,
    ) {
    }

    /** Who could be invited now: neither ready nor invited, and with an address, at most. */
    public function left(): int
    {
        return max(0, $this->all - $this->ready - $this->invited - $this->silent);
    }
}
