<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Registration;

use Nomada\App\Support\Words;

/** What came of registering rosters. */
final readonly class RosterResult
{
    /** @param  list<string>  $withoutSeries sections that cannot take registrations: they have no dated sessions yet */
    public function __construct(public int $joined, public int $left, public array $withoutSeries)
    {
    }

    public function words(): string
    {
        $done =
            $this->joined + $this->left === 0
                ? 'The rosters were registered already; nothing changed.'
                : implode(
                    ', ',
                    array_filter([
                        $this->joined > 0
                            ? Words::count($this->joined, 'registration').' made, each with a personal link'
                            : '',
                        $this->left > 0 ? Words::count($this->left, 'registration').' withdrawn' : '',
                    ]),
                ).'.';

        return $done.
            ($this->withoutSeries === []
                ? ''
                : ' Without sessions yet, and so left out: '.implode(', ', $this->withoutSeries).'.');
    }
}
