<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\App\Queries\Presence\Pupil;
use Nomada\Core\Presence\Attendance;

/** One student's line in the drawing of a session. */
final readonly class PresenceLine
{
    /** @param  list<array{int, int}>  $segments  from and to, positions */
    private function __construct(public Pupil $pupil, public ?Attendance $attendance, public array $segments)
    {
    }

    public static function of(Pupil $pupil, ?Attendance $attendance, TimeAxis $axis): self
    {
        return new self(
            $pupil,
            $attendance,
            array_map(
                fn (array $i): array => [$axis->x($i[0]), $axis->x($i[1])],
                $attendance === null ? [] : $attendance->inside,
            ),
        );
    }
}
