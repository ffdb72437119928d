<?php

declare(strict_types=1);

namespace Nomada\App\View\Account;

use Nomada\App\Models\Account\SignIn;
use Nomada\App\Support\Browser;
use Nomada\App\Support\Say;
use Nomada\Core\Term\Zone;

/** One browser in which somebody is signed in. */
final readonly class SignInRow
{
    private function __construct(
        public int $id,
        public string $browser,
        public string $address,
        public string $began,
        public string $seen,
        public bool $isThis,
    ) {
    }

    public static function of(SignIn $row, Zone $zone, bool $isThis): self
    {
        $at = fn (int $second): string => Say::day($zone->dateAt($second)).' '.$zone->clock($second);

        return new self(
            $row->id,
            Browser::words($row->browser),
            $row->address,
            $at((int) $row->began_at->timestamp),
            $at((int) $row->seen_at->timestamp),
            $isThis,
        );
    }
}
