<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\App\Queries\Presence\Pupil;
use Nomada\Core\Presence\Attendance;

/** One student's line in the drawing of a session. */
final readonly class PresenceLine
{
    /**
     * @param  list<array{int, int}>  $segments  from and to, positions
     * @param  list<array{int, int}>  $early  the same, of the time before the start
     */
    private function __construct(
        public Pupil $pupil,
        public ?Attendance $attendance,
        public array $segments,
        public array $early,
    ) {
    }

    /** @param  list<array{int, int}>  $early  UTC seconds before the start, while they were there */
    public static function of(Pupil $pupil, ?Attendance $attendance, array $early, TimeAxis $axis): self
    {
        return new self(
            $pupil,
            $attendance,
            $axis->drawn($attendance === null ? [] : $attendance->inside),
            $axis->drawn($attendance === null ? [] : $early),
        );
    }
}
