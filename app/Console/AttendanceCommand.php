<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Queries\Presence\AttendanceTable;
use Nomada\App\Support\FaultWords;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;

final class AttendanceCommand extends Sections
{
    protected $signature = 'nomada:attendance
        {--section=* : sourcedId; all where none is given}
        {--day= : one day, as 2027-02-09}
        {--json}';

    protected $description = 'List attendance: one line per student and session';

    public function handle(Attendances $attendances): int
    {
        $sections = $this->sections();
        if ($sections === null) {
            return self::FAILURE;
        }
        try {
            $day = is_string($this->option('day')) ? LocalDate::parse($this->option('day'))->iso() : null;
        } catch (Fault $e) {
            $this->components->error(FaultWords::of($e));

            return self::FAILURE;
        }
        $rows = [];
        foreach ($sections as $section) {
            array_push($rows, ...$this->rows($attendances->ofSection($section->id), $section->sourced_id, $day));
        }
        if ($this->option('json')) {
            $this->asJson(
                count($sections) === 1
                    ? array_map(fn (array $r): array => array_diff_key($r, ['section' => 0]), $rows)
                    : $rows,
            );
        } else {
            $corrected = $this->yesOrNo(true);
            $this->drawTable(
                ['section', 'day', 'person', 'status', 'minutes', 'late', 'left', 'away', 'corrected'],
                array_map(fn (array $r): array => [...$r, 'corrected' => $r['corrected'] ? $corrected : ''], $rows),
            );
        }

        return self::SUCCESS;
    }

    /** @return list<array<string, mixed>> */
    private function rows(AttendanceTable $table, string $section, ?string $day): array
    {
        $rows = [];
        foreach ($table->sessions as $session) {
            if ($day !== null && $session->day->iso() !== $day) {
                continue;
            }
            foreach ($table->pupils as $pupil) {
                $one = $table->of($session, $pupil);
                if ($one !== null) {
                    $rows[] = [
                        'section' => $section,
                        'day' => $session->day->iso(),
                        'person' => $pupil->sourcedId,
                        'status' => $one->status()->value,
                        'minutes' => $one->minutes(),
                        'late' => $one->late,
                        'left' => $one->left,
                        'away' => count($one->away),
                        'corrected' => $one->correction !== null,
                    ];
                }
            }
        }

        return $rows;
    }
}
