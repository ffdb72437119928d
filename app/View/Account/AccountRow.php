<?php

declare(strict_types=1);

namespace Nomada\App\View\Account;

use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Say;

/** One person, as far as signing in goes. */
final readonly class AccountRow
{
    /**
     * @param  string  $state  `ready`, `invited`, `ended` (an invitation that was not used in time) or `none`
     * @param  string|null  $on  the day of it: since when, until when, when it ended
     * @param  string|null  $seen  when they were here last
     */
    private function __construct(
        public string $sourcedId,
        public string $name,
        public string $address,
        public string $state,
        public ?string $on,
        public ?string $seen,
        public bool $hasSecondFactor,
    ) {
    }

    public static function of(Person $person, ?int $until, ?int $seen): self
    {
        $zone = $person->zone();
        $isInvited = $until !== null && $until > time();
        $state = match (true) {
            $person->password_set_at !== null => 'ready',
            $isInvited => 'invited',
            $until !== null => 'ended',
            default => 'none',
        };
        $at = $person->password_set_at === null ? $until : (int) $person->password_set_at->timestamp;

        return new self(
            $person->sourced_id,
            $person->name(),
            (string) $person->email,
            $state,
            $at === null ? null : Say::day($zone->dateAt($at)),
            $seen === null ? null : Say::day($zone->dateAt($seen)),
            $person->hasSecondFactor(),
        );
    }
}
