<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

/** A session of the week in the drawing. kind: stays, was or becomes. */
final readonly class FixBlock
{
    public function __construct(
        public float $x,
        public int $y,
        public float $width,
        public int $height,
        public string $kind,
        public string $words,
    ) {
    }
}
