<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\FreeTime;

final class FreeTimesCommand extends Sections
{
    protected $signature =
        'nomada:free-times {--section=* : sourcedId} {--from= : the first day that may move, '.
        'YYYY-MM-DD; today by default} {--day= : the day of one session to make up, YYYY-MM-DD} {--most=12} {--json}';

    protected $description = 'List alternative times for a section, best first';

    public function handle(FreeTimesQuery $query): int
    {
        $sections = $this->sections();
        try {
            $from = $this->option('from') === null ? null : LocalDate::parse((string) $this->option('from'));
            $day = $this->option('day') === null ? null : LocalDate::parse((string) $this->option('day'));
        } catch (Fault $e) {
            $this->components->error(FaultWords::of($e));

            return self::FAILURE;
        }
        if ($sections === null) {
            return self::FAILURE;
        }
        $rows = [];
        foreach (
            Series::query()
                ->whereHas('sections', fn ($q) => $q->whereKey($sections->modelKeys()))
                ->with(['section.term.school', 'section.term.closures'])
                ->orderBy('id')
                ->get() as $series
        ) {
            $most = max(1, min(200, (int) $this->option('most')));
            foreach (
                $day === null ? $query->forSeries($series, $from, $most) : $query->forOne($series, $day, $most) as $free
            ) {
                $rows[] = [
                    'section' => $series->section->sourced_id,
                    'series' => $series->title,
                    ...$this->row($free),
                ];
            }
        }
        $this->option('json')
            ? $this->asJson($rows)
            : $this->drawTable(
                [
                    'section',
                    'series',
                    'time',
                    'start',
                    'shift',
                    'clear',
                    'of',
                    'student_clashes',
                    'out_of_hours',
                    'cost',
                ],
                $rows,
            );

        return self::SUCCESS;
    }

    /** @return array<string, int|string> */
    private function row(FreeTime $f): array
    {
        return [
            'time' => Say::this($f->when()),
            'start' => TypedTime::format($f->start),
            'shift_days' => $f->shift,
            'clear' => $f->clear,
            'sessions' => $f->sessions,
            'student_clashes' => $f->students,
            'out_of_hours' => $f->uncomfortable,
            'cost' => Say::this($f->cost()),
        ];
    }
}
