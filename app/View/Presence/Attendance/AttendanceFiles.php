<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Queries\Presence\AttendanceTable;
use Nomada\App\Queries\Presence\HeldSession;
use Nomada\App\Queries\Presence\Scores;
use Nomada\App\Support\SheetFile;
use Nomada\App\Support\ZipText;
use Nomada\Core\Interchange\CsvText;
use Nomada\Core\Interchange\Gradebook;
use Nomada\Core\Interchange\GradebookResult;
use Nomada\Core\Presence\Status;
use Symfony\Component\HttpFoundation\Response;

/** A section's attendance for the office: CSV, XLSX (a sheet a session, and the sums), OneRoster gradebook. */
final readonly class AttendanceFiles
{
    public function __construct(private Attendances $attendances, private Scores $scores)
    {
    }

    public function respond(Section $section, string $as): Response
    {
        $table = $this->attendances->ofSection($section->id);

        return match ($as) {
            'csv' => (new SheetFile("attendance $section->sourced_id", self::head(), self::lines($table)))->respond(
                'csv',
            ),
            'xlsx' => $this->workbook($section, $table)->respond('xlsx'),
            'gradebook' => ZipText::respond("gradebook-$section->sourced_id", $this->gradebook($section, $table)),
            default => abort(404),
        };
    }

    /** @return list<string> */
    private static function head(): array
    {
        return array_map(fn (string $c): string => __("presence.columns.$c"), [
            'day',
            'id',
            'name',
            'status',
            'minutes',
            'late',
            'left',
            'away',
            'corrected',
        ]);
    }

    /** @return list<list<string|int|null>> */
    private static function lines(AttendanceTable $table, ?HeldSession $only = null): array
    {
        $rows = [];
        foreach ($only === null ? $table->sessions : [$only] as $session) {
            foreach ($table->pupils as $pupil) {
                $one = $table->of($session, $pupil);
                if ($one !== null) {
                    $rows[] = [
                        $session->day->iso(),
                        $pupil->sourcedId,
                        $pupil->name,
                        __('attendance.status.'.$one->status()->value),
                        $one->minutes(),
                        $one->late,
                        $one->left,
                        count($one->away),
                        $one->correction === null ? '' : $one->correction->why,
                    ];
                }
            }
        }

        return $rows;
    }

    private function workbook(Section $section, AttendanceTable $table): SheetFile
    {
        $scores = $this->scores->of($section, $table);
        $sums = [];
        foreach ($table->pupils as $pupil) {
            $counts = array_fill_keys(array_column(Status::cases(), 'value'), 0);
            $minutes = 0;
            foreach ($table->whole($pupil) as $one) {
                $counts[$one->status()->value]++;
                $minutes += $one->minutes();
            }
            $sums[] = [
                $pupil->sourcedId,
                $pupil->name,
                ...array_values($counts),
                $minutes,
                $scores[$pupil->id]->points(),
            ];
        }
        $sheets = [];
        foreach ($table->sessions as $session) {
            if ($session->isTold) {
                $sheets[$session->day->iso().' '.gmdate('Hi', $session->start)] = [
                    self::head(),
                    self::lines($table, $session),
                ];
            }
        }

        return new SheetFile(
            "attendance $section->sourced_id",
            [
                __('presence.columns.id'),
                __('presence.columns.name'),
                ...array_map(fn (Status $s): string => __("attendance.status.$s->value"), Status::cases()),
                __('presence.columns.minutes'),
                __('presence.columns.score'),
            ],
            $sums,
            $sheets,
            __('presence.columns.sums'),
        );
    }

    /** @return array<string, string> contents by file name */
    private function gradebook(Section $section, AttendanceTable $table): array
    {
        $scores = $this->scores->of($section, $table);
        $results = [];
        foreach ($table->pupils as $pupil) {
            $score = $scores[$pupil->id];
            $results[] = new GradebookResult($pupil->sourcedId, $score->points(), $score->why);
        }
        $term = $section->term;

        return array_map(
            CsvText::write(...),
            Gradebook::files(
                $section->sourced_id,
                __('presence.score.title'),
                $term->school->sourced_id ?? '',
                $term->starts_on,
                $term->ends_on,
                $this->scores->formula($section)->maximum,
                $results,
            ),
        );
    }
}
