<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Recording;

/** The sound of one part of a recording: a head of its own, and bytes of the file behind it. */
final readonly class SoundPart
{
    /**
     * @param  resource  $stream  the whole recording's file
     * @param  string  $head  the header that makes the part a file of its own; empty where the file is not cut
     * @param  int  $at  the first byte of the file that belongs to it
     * @param  int  $length  bytes of the file
     * @param  string  $type  its media type, or empty
     */
    public function __construct(
        public mixed $stream,
        public string $head,
        public int $at,
        public int $length,
        public string $type,
    ) {
    }
}
