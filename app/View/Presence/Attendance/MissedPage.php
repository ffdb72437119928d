<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\Core\Presence\Running;
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
        foreach ($sessions->groupBy('section_id') as $section => $rows) {
            $table = $this->attendances->ofSection((int) $section);
            $own = array_map(intval(...), $rows->pluck('id')->all());
            foreach ($table->sessions as $session) {
                if (! in_array($session->id, $own, true) || $session->isRunning) {
                    continue;
                }
                foreach ($table->pupils as $pupil) {
                    $status = $table->of($session, $pupil)?->status();
                    if ($status === Status::Absent || $status === Status::Excused) {
                        $lines[$pupil->id]['name'] = $pupil;
                        $lines[$pupil->id]['missed'][] = [
                            $session,
                            $sections[(int) $section]?->name() ?? '',
                            $sections[(int) $section]->sourced_id ?? '',
                            $status,
                        ];
                        $lines[$pupil->id]['running'] = max(
                            $lines[$pupil->id]['running'] ?? 0,
                            Running::absences(array_map(fn ($a): Status => $a->status(), $table->whole($pupil))),
                        );
                    }
                }
            }
        }
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
                $line['running'],
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
