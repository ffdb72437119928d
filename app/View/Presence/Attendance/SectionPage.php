<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Queries\Presence\AttendanceTable;
use Nomada\App\Queries\Presence\HeldSession;
use Nomada\App\Queries\Presence\Pupil;
use Nomada\App\Queries\Presence\Scores;
use Nomada\App\Support\Clock;
use Nomada\Core\Presence\AbsenceStreak;
use Nomada\Core\Presence\Attendance;
use Nomada\Core\Presence\Formula;
use Nomada\Core\Presence\Status;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;

/** A section's table: students by sessions, what it comes to, and what is not held yet. */
final readonly class SectionPage
{
    /**
     * @param  list<SessionColumn>  $columns
     * @param  list<PupilRow>  $rows
     * @param  list<LocalDate>  $ahead  days of sessions that are not held yet
     * @param  int  $untold  held ones of which nobody knows who was there
     */
    private function __construct(
        public Section $section,
        public array $columns,
        public array $rows,
        public array $ahead,
        public int $untold,
        public Formula $formula,
        public AttendanceTable $table,
    ) {
    }

    public static function of(Section $section, Attendances $attendances, Scores $scores, Clock $clock): self
    {
        $table = $attendances->ofSection($section->id);
        $points = $scores->of($section, $table);
        $recordings = DB::table('recordings')
            ->whereIntegerInRaw('session_id', array_map(fn (HeldSession $s): int => $s->id, $table->sessions))
            ->whereNull('deleted_at')
            ->pluck('state', 'session_id');
        $columns = array_map(
            fn (HeldSession $s): SessionColumn => new SessionColumn(
                $s->id,
                $s->day,
                $section->term->calendar()->zone->clock($s->start),
                $s->topic,
                $s->isTold,
                $s->isRunning,
                $table->sums($s),
                $recordings[$s->id] ?? null,
            ),
            $table->sessions,
        );
        $rows = array_map(
            fn (Pupil $p): PupilRow => new PupilRow(
                $p,
                array_map(fn (HeldSession $s): ?Attendance => $table->of($s, $p), $table->sessions),
                self::counts($table->whole($p)),
                array_sum(array_map(fn (Attendance $a): int => $a->minutes(), $table->whole($p))),
                AbsenceStreak::absences(array_map(fn (Attendance $a): Status => $a->status(), $table->whole($p))),
                $points[$p->id],
            ),
            $table->pupils,
        );

        return new self(
            $section,
            $columns,
            $rows,
            array_values(
                DB::table('sessions')
                    ->whereIn('series_id', $section->series()->pluck('series.id'))
                    ->where('state', SessionState::Planned)
                    ->where('starts_at', '>', gmdate('Y-m-d H:i:sP', $clock->seconds()))
                    ->orderBy('starts_at')
                    ->pluck('day')
                    ->map(fn (mixed $day): LocalDate => LocalDate::parse((string) $day))
                    ->all(),
            ),
            count(array_filter($columns, fn (SessionColumn $c): bool => ! $c->isTold && ! $c->isRunning)),
            $scores->formula($section),
            $table,
        );
    }

    /**
     * @param  list<Attendance>  $whole
     * @return array<string, int> by status
     */
    private static function counts(array $whole): array
    {
        $out = array_fill_keys(array_column(Status::cases(), 'value'), 0);
        foreach ($whole as $one) {
            $out[$one->status()->value]++;
        }

        return $out;
    }

    /** Per cent of all student-sessions that came; null where nothing is known. */
    public function share(): ?int
    {
        $came = $all = 0;
        foreach ($this->rows as $row) {
            $came += $row->came();
            $all += $row->held();
        }

        return $all === 0 ? null : (int) round((100 * $came) / $all);
    }
}
