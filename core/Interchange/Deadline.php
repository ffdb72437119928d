<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;

/**
 * Bounds the processor time in which the files of one import are read: no file holds a worker for longer, and a busy
 * machine refuses none.
 */
final readonly class Deadline
{
    /** Seconds of processor time; the largest school that was measured takes a fifth of it. */
    public const SECONDS = 20;

    private int $until;

    public function __construct(float $seconds = self::SECONDS)
    {
        $this->until = self::used() + (int) ($seconds * 1e6);
    }

    /** @throws Fault where it has passed */
    public function check(string $file, int $line): void
    {
        if (self::used() > $this->until) {
            throw new Fault('import.long', 'file', ['file' => $file, 'line' => $line]);
        }
    }

    /** Microseconds of processor time that this process has used. */
    private static function used(): int
    {
        $usage = (array) getrusage();

        return 1_000_000 * ((int) $usage['ru_utime.tv_sec'] + (int) $usage['ru_stime.tv_sec']) +
            (int) $usage['ru_utime.tv_usec'] +
            (int) $usage['ru_stime.tv_usec'];
    }
}
