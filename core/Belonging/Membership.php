<?php

declare(strict_types=1);

namespace Nomada\Core\Belonging;

/** A person's part in a section, from and until a day (day numbers, both inclusive; null for the whole term). */
final readonly class Membership
{
    public function __construct(public MembershipRole $role, public ?int $from = null, public ?int $until = null)
    {
    }

    public function holdsOn(int $day): bool
    {
        return ($this->from === null || $day >= $this->from) && ! $this->isOverOn($day);
    }

    public function isOverOn(int $day): bool
    {
        return $this->until !== null && $day > $this->until;
    }

    /** Whether it has no bounds at all, as most have not. */
    public function isWhole(): bool
    {
        return $this->from === null && $this->until === null;
    }
}
