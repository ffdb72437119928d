<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Look;

/** What one place says of one session, as it is there. */
final readonly class LookCell
{
    public function __construct(public LookState $state, public string $words = '')
    {
    }

    public function isWrong(): bool
    {
        return in_array($this->state, [LookState::Other, LookState::Missing, LookState::Silent], true);
    }
}
