<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\Actions\Joining\BulkAct;

/**
 * What an act on many series will do, before it is done.
 *
 * @phpstan-import-type Line from BulkAct
 */
final readonly class ActPage
{
    /** How many it will change. */
    public int $does;

    /**
     * @param  list<Line>  $lines
     * @param  list<int>  $series  ids of all that were chosen
     */
    public function __construct(
        public string $title,
        public array $lines,
        public string $act,
        public string $preset,
        public string $account,
        public array $series,
    ) {
        $this->does = count(array_filter($lines, fn (array $line): bool => $line['does']));
    }
}
