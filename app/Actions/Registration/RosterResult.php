<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;

/** What came of registering rosters. */
final readonly class RosterResult
{
    /** @param  list<string>  $withoutSeries sections that cannot take registrations: they have no dated sessions yet */
    public function __construct(public int $joined, public int $left, public array $withoutSeries)
    {
    }

    public function words(): string
    {
        $done = array_filter([
            $this->joined > 0 ? new Said('roster.joined', ['n' => $this->joined]) : null,
            $this->left > 0 ? new Said('roster.left', ['n' => $this->left]) : null,
        ]);
        $said = [$done === [] ? new Said('roster.same') : new Said('roster.done', ['what' => array_values($done)])];
        if ($this->withoutSeries !== []) {
            $said[] = new Said('roster.undated', ['sections' => $this->withoutSeries]);
        }

        return Say::this($said, ' ');
    }
}
