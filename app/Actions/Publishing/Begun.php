<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Nomada\App\Models\Publishing\Run;

/** What publishing began: the run, and how many letters tell of what changed. */
final readonly class Begun
{
    /** @param  Run|null  $run  null where every place has what should be there */
    public function __construct(public ?Run $run, public int $letters)
    {
    }
}
