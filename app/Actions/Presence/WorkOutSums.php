<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Support\Facades\DB;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Queries\Presence\AttendanceTable;
use Nomada\App\Queries\Presence\HeldSession;
use Nomada\Core\Presence\AbsenceStreak;
use Nomada\Core\Presence\Attendance;
use Nomada\Core\Presence\Status;

/** Keeps what each session came to, for pages that show hundreds of them. */
final readonly class WorkOutSums
{
    public function __construct(private Attendances $attendances)
    {
    }

    /** @param  list<int>  $sessions  ids */
    public function __invoke(array $sessions): void
    {
        $of = DB::table('sessions')
            ->join('series_sections', 'series_sections.series_id', '=', 'sessions.series_id')
            ->whereIntegerInRaw('sessions.id', $sessions)
            ->orderBy('section_id')
            ->get(['sessions.id', 'section_id'])
            ->groupBy('section_id');
        foreach ($of as $section => $rows) {
            $this->section((int) $section, array_map(intval(...), array_values($rows->pluck('id')->all())));
        }
    }

    /** Everything of a section, as after a change of its roster. */
    public function whole(int $section): void
    {
        $this->section($section, null);
    }

    /** @return list<array{session_id: int, section_id: int, person_id: int, is_excused: bool}> */
    private static function away(int $section, HeldSession $session, AttendanceTable $table): array
    {
        $out = [];
        foreach ($table->cells[$session->id] ?? [] as $person => $one) {
            if (! $one->status()->came()) {
                $out[] = [
                    'session_id' => $session->id,
                    'section_id' => $section,
                    'person_id' => $person,
                    'is_excused' => $one->status() === Status::Excused,
                ];
            }
        }

        return $out;
    }

    /** Keeps who has missed so many of the last sessions that somebody should ask. */
    private function runs(int $section, AttendanceTable $table): void
    {
        $rows = [];
        foreach ($table->pupils as $pupil) {
            $n = AbsenceStreak::absences(array_map(fn (Attendance $a): Status => $a->status(), $table->whole($pupil)));
            if ($n >= AbsenceStreak::ISSUE) {
                $rows[] = ['section_id' => $section, 'person_id' => $pupil->id, 'n' => $n];
            }
        }
        DB::table('absence_streaks')
            ->where('section_id', $section)
            ->whereNotIn('person_id', array_column($rows, 'person_id'))
            ->delete();
        DB::table('absence_streaks')->upsert($rows, ['section_id', 'person_id']);
    }

    /** @param  list<int>|null  $sessions */
    private function section(int $section, ?array $sessions): void
    {
        $table = $this->attendances->ofSection($section);
        $this->runs($section, $table);
        $rows = $away = [];
        foreach ($table->sessions as $session) {
            if ($session->isTold && ($sessions === null || in_array($session->id, $sessions, true))) {
                $rows[] =
                    [
                        'session_id' => $session->id,
                        'section_id' => $section,
                        'guests' => $table->guests[$session->id] ?? 0,
                    ] + $table->sums($session);
                array_push($away, ...self::away($section, $session, $table));
            }
        }
        foreach (array_chunk($rows, 500) as $chunk) {
            DB::table('session_sums')->upsert($chunk, ['session_id', 'section_id']);
            DB::table('session_absences')
                ->where('section_id', $section)
                ->whereIntegerInRaw('session_id', array_column($chunk, 'session_id'))
                ->delete();
        }
        foreach (array_chunk($away, 1000) as $chunk) {
            DB::table('session_absences')->upsert($chunk, ['session_id', 'section_id', 'person_id']);
        }
    }
}
