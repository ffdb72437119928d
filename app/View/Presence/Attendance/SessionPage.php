<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Attendance;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Queries\Presence\HeldSession;
use Nomada\App\Queries\Presence\Pupil;
use Nomada\Core\Presence\Attendance;
use Nomada\Core\Presence\OccupancyCurve;
use Nomada\Core\Timetable\SessionState;

/** One session over its time: a line a student from coming to leaving, and how many were inside above it. */
final readonly class SessionPage
{
    /** How much of the time before the start is drawn, in seconds: the usual, and the most where somebody was early. */
    private const LEAD = [300, 900];

    /**
     * @param  list<PresenceLine>  $lines
     */
    private function __construct(
        public Section $section,
        public Session $session,
        public HeldSession $held,
        public array $lines,
        public SessionDrawing $drawing,
        public SessionBeside $beside,
        public SessionSums $sum,
        public SessionSource $from,
    ) {
    }

    public static function of(Section $section, Session $session, Attendances $attendances, int $now): ?self
    {
        $table = $attendances->ofSection($section->id, [$session->id]);
        $held = $table->sessions[0] ?? null;
        if ($held === null) {
            return null;
        }
        $zone = $section->term->calendar()->zone;
        $early = $attendances->early($held, self::LEAD[1]);
        $axis = new TimeAxis($held->start, $held->planned, self::LEAD[$early === [] ? 0 : 1]);
        $curve = OccupancyCurve::of(
            array_map(fn (Attendance $a): array => $a->inside, array_values($table->cells[$held->id] ?? [])),
        );
        $recording = Recording::query()
            ->where('session_id', $session->id)
            ->whereNull('deleted_at')
            ->orderByDesc('id')
            ->first();
        $read = DB::table('presence_reads')
            ->where('session_id', $session->id)
            ->first(['ended_at']);
        $events = DB::table('presence_events')
            ->where('session_id', $session->id)
            ->selectRaw("count(*) as n, coalesce(string_agg(distinct source, ' '), '') as source")
            ->first();
        [$before, $after] = self::neighbours($section, $session, $now);

        return new self(
            $section,
            $session,
            $held,
            array_map(
                fn (Pupil $p): PresenceLine => PresenceLine::of(
                    $p,
                    $table->of($held, $p),
                    $early[$p->id] ?? [],
                    $axis,
                ),
                $table->pupils,
            ),
            new SessionDrawing(
                $axis->ticks($zone),
                $axis->curve($curve),
                $curve->most,
                $curve->mostAt === null ? null : $zone->clock($curve->mostAt),
                $recording === null
                    ? null
                    : [
                        $axis->x((int) $recording->started_at->timestamp),
                        $axis->x((int) ($recording->stopped_at->timestamp ?? $held->end)),
                    ],
                [$axis->x($held->start), $axis->x($held->planned)],
            ),
            new SessionBeside(
                $recording,
                $before,
                $after,
                (string) DB::table('session_notes')->where('session_id', $session->id)->value('text'),
            ),
            new SessionSums($table->sums($held), $table->guests[$held->id] ?? 0),
            new SessionSource(
                (int) ($events->n ?? 0),
                (string) ($events->source ?? ''),
                $read?->ended_at === null ? null : $zone->clock((int) strtotime((string) $read->ended_at)),
                $zone,
            ),
        );
    }

    /** @return array{?int, ?int} ids of the sessions before and after it that have begun */
    private static function neighbours(Section $section, Session $session, int $now): array
    {
        $of = fn (): Builder => DB::table('sessions')
            ->whereIn('series_id', $section->series()->pluck('series.id'))
            ->where('state', SessionState::Planned);
        $id = fn (mixed $value): ?int => $value === null ? null : (int) $value;

        return [
            $id($of()->where('starts_at', '<', $session->starts_at)->orderByDesc('starts_at')->value('id')),
            $id(
                $of()
                    ->where('starts_at', '>', $session->starts_at)
                    ->where('starts_at', '<=', gmdate('Y-m-d H:i:sP', $now))
                    ->orderBy('starts_at')
                    ->value('id'),
            ),
        ];
    }

    public function came(): int
    {
        return $this->sum->sums['present'] + $this->sum->sums['late'] + $this->sum->sums['partial'];
    }

    public function height(): int
    {
        return TimeAxis::TOP + 24 * max(1, count($this->lines));
    }
}
