<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\Core\Presence\Status;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** A day's absences. */
final readonly class MissedDay
{
    /** @param  list<MissedRow>  $rows  those that are absent most often running first */
    public function __construct(public LocalDate $day, public array $rows, public Zone $zone)
    {
    }

    /**
     * Whose guardians are still to be written to: of absences that nobody has told.
     *
     * @return array<int, list<int>> sessions by student
     */
    public function students(): array
    {
        $out = [];
        foreach ($this->rows as $row) {
            if ($row->guardians > 0 && ! $row->isWritten && $row->isUntold()) {
                $out[$row->pupil->id] = array_map(
                    fn (array $m): int => $m[0]->id,
                    array_values(array_filter($row->missed, fn (array $m): bool => $m[3] === Status::Absent)),
                );
            }
        }

        return $out;
    }
}
