<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Nomada\Core\Fault;

/** What a fault says, in the language of whoever reads the page. */
final class FaultWords
{
    public static function of(Fault $fault): string
    {
        return $fault->says === null ? $fault->getMessage() : (string) __("faults.$fault->says", $fault->with);
    }
}
