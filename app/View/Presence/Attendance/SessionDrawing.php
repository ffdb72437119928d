<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

/** A session's presence as it is drawn: positions in pixels. */
final readonly class SessionDrawing
{
    /**
     * @param  list<array{int, string}>  $ticks  positions and times
     * @param  list<array{int, int}>  $curve  points of the drawing
     * @param  array{int, int}|null  $recorded  from and to, positions
     * @param  array{int, int}  $edges  positions of start and end
     */
    public function __construct(
        public array $ticks,
        public array $curve,
        public int $most,
        public ?string $mostAt,
        public ?array $recorded,
        public array $edges,
    ) {
    }
}
