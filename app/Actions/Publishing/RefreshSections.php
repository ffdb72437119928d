<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Writes down what should be for sections, after something that many of them go by has changed. Done twice, it
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

    /**
     * For however many sections, behind the page, once what they go by is written down.
     *
     * @param  iterable<int|string>  $sections  ids
     */
    public static function later(iterable $sections): void
    {
        foreach (collect($sections)->chunk(self::AT_ONCE) as $some) {
            self::dispatch(array_values(array_map(intval(...), $some->all())))->afterCommit();
        }
    }

    public function handle(RefreshPlacements $refresh): void
    {
        $refresh($this->sections);
    }
}
