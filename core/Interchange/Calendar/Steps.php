<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange\Calendar;

use Nomada\Core\Fault;

/** How many steps are left. */
final class Steps
{
    public function __construct(private int $left)
    {
    }

    /** @throws Fault where none is left */
    public function make(): void
    {
        if ($this->left-- <= 0) {
            throw new Fault('calendar.never', 'RRULE');
        }
    }
}
