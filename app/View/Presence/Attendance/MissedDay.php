<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\Core\Term\LocalDate;

/** A day's absences. */
final readonly class MissedDay
{
    /** @param  list<MissedRow>  $rows  those that are absent most often running first */
    public function __construct(public LocalDate $day, public array $rows)
    {
    }

    /** Students on one page. */
    private const PAGE = 150;

    public function pages(): int
    {
        return max(1, (int) ceil(count($this->rows) / self::PAGE));
    }

    /** @return list<MissedRow> */
    public function page(int $n): array
    {
        return array_slice($this->rows, self::PAGE * (max(1, min($this->pages(), $n)) - 1), self::PAGE);
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
                    fn (MissedSession $m): int => $m->id,
                    array_values(array_filter($row->missed, fn (MissedSession $m): bool => ! $m->isExcused)),
                );
            }
        }

        return $out;
    }
}
