<?php

declare(strict_types=1);

namespace Nomada\Core\Recording;

/** One piece of a transcript: what was said from when till when, in milliseconds from the recording's beginning. */
final readonly class Cue
{
    /** @param  string  $speaker  '' where the transcript names none */
    public function __construct(
        public int $from,
        public int $to,
        public string $text,
        public string $speaker = '',
    ) {
    }
}
