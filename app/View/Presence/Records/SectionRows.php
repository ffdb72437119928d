<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Records;

use Nomada\App\View\Address;

/** Sums of sections that were asked for on their own. */
final readonly class SectionRows
{
    public Address $attendance;

    /** @param  list<SectionRecord>  $rows */
    public function __construct(public array $rows)
    {
        $this->attendance = Address::of('attendance');
    }
}
