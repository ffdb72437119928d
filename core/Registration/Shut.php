<?php

declare(strict_types=1);

namespace Nomada\Core\Registration;

use Nomada\Core\Term\LocalDate;

/** Nobody can register: it opens on a day, or has closed on one. */
final readonly class Shut
{
    /** @param  'opens'|'closed'  $why */
    public function __construct(public string $why, public LocalDate $on)
    {
    }
}
