<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\Core\Presence\Status;
use Nomada\Core\Term\LocalDate;

/** Who missed something on a day, over all sections. */
final readonly class MissedPage
{
    public function __construct(private Attendances $attendances)
    {
    }

    public function of(Term $term, Person $for, LocalDate $day): MissedDay
    {
        $sessions = DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->join(
                'session_sums',
                fn ($j) => $j
                    ->on('session_sums.session_id', '=', 'sessions.id')
                    ->on('session_sums.section_id', '=', 'series_sections.section_id'),
            )
            ->whereIn(
                'series_sections.section_id',
                Section::query()->where('term_id', $term->id)->servedBy($for)->select('id'),
            )
            ->where('day', $day->iso())
            ->whereRaw('absent + excused > 0')
            ->get(['sessions.id', 'series_sections.section_id']);
        $sections = Section::query()->whereIn('id', $sessions->pluck('section_id'))->get()->keyBy('id');
        $lines = [];
        $tables = $this->attendances->ofSections(
            array_values(array_map(intval(...), $sections->modelKeys())),
            array_values(array_unique(array_map(intval(...), $sessions->pluck('id')->all()))),
        );
        foreach ($tables as $section => $table) {
            foreach ($table->sessions as $session) {
                foreach ($session->isRunning ? [] : $table->pupils as $pupil) {
                    $status = $table->of($session, $pupil)?->status();
                    if ($status === Status::Absent || $status === Status::Excused) {
                        $lines[$pupil->id]['name'] = $pupil;
                        $lines[$pupil->id]['missed'][] = [
                            $session,
                            $sections[$section]?->name() ?? '',
                            $sections[$section]->sourced_id ?? '',
                            $status,
                        ];
                    }
                }
            }
        }
        $runs = DB::table('absent_runs')
            ->whereIntegerInRaw('section_id', array_keys($tables))
            ->groupBy('person_id')
            ->pluck(DB::raw('max(n) as n'), 'person_id');
        $guardians = DB::table('guardianships')
            ->whereIn('student_id', array_keys($lines))
            ->groupBy('student_id')
            ->pluck(DB::raw('count(*) as n'), 'student_id');
        $written = DB::table('letters')
            ->where('kind', 'missed')
            ->where('key', 'like', "missed {$day->iso()}, %")
            ->pluck(DB::raw("(values->>'student')::bigint as student"))
            ->flip();
        $rows = [];
        foreach ($lines as $id => $line) {
            $rows[] = new MissedRow(
                $line['name'],
                $line['missed'],
                (int) ($runs[$id] ?? 0),
                (int) ($guardians[$id] ?? 0),
                isset($written[$id]),
            );
        }
        usort(
            $rows,
            fn (MissedRow $a, MissedRow $b): int => [-$a->running, $a->pupil->name] <=> [
                -$b->running,
                $b->pupil->name,
            ],
        );

        return new MissedDay($day, $rows, $term->calendar()->zone);
    }
}
