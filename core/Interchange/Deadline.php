<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;

/** Until when the files of one import must have been read: no file holds a worker for longer. */
final readonly class Deadline
{
    /** Seconds in which the largest school that was measured is read several times over. */
    public const SECONDS = 10;

    private int $until;

    public function __construct(float $seconds = self::SECONDS)
    {
        $this->until = hrtime(true) + (int) ($seconds * 1e9);
    }

    /** @throws Fault where it has passed */
    public function check(string $file, int $line): void
    {
        if (hrtime(true) > $this->until) {
            throw new Fault('import.long', 'file', ['file' => $file, 'line' => $line]);
        }
    }
}
