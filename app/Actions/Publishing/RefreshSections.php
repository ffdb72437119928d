<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Writes down what ought to stand for sections, after something that many of them go by has changed. Done twice, it
 * does the same.
 */
final class RefreshSections implements ShouldQueue
{
    use Queueable;

    /** How many sections one job takes. */
    public const AT_ONCE = 40;

    public int $tries = 3;

    public int $timeout = 30;

    /** @param  list<int>  $sections */
    public function __construct(public readonly array $sections)
    {
    }

    public function handle(RefreshPlacements $refresh): void
    {
        $refresh($this->sections);
    }
}
