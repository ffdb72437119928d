<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\FreeTimesQuery;
use Nomada\App\Support\Say;
use Nomada\App\Support\Trial;
use Nomada\App\View\Timetable\Panel\FreeLine;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\SessionState;
use stdClass;

/**
 * The lost and cancelled sessions of a term that nothing makes up yet, a few at a time, each with the best free times.
 */
final readonly class MakeUps
{
    private const AT_ONCE = 4;

    public function __construct(private FreeTimesQuery $free)
    {
    }

    /** @param  string  $reason  why they are lost; empty for all */
    public function of(Term $term, string $reason, int $page): MakeUpsPage
    {
        $lost = $this->lost($term);
        $all = $reason === '' ? $lost : $lost->where('reason', $reason);
        $sessions = Session::query()
            ->whereKey($all->forPage(max(1, $page), self::AT_ONCE)->pluck('id'))
            ->with(['series.section'])
            ->orderBy('day')
            ->orderBy('id')
            ->get();
        // Worked out together: what is proposed for one is in the way of the next. Nothing of it stays.
        $rows = Trial::of(function () use ($sessions, $term): array {
            $rows = [];
            foreach ($sessions as $session) {
                $session->series->section->setRelation('term', $term);
                $free = $this->free->forOne($session->series, LocalDate::parse($session->day), 3);
                $rows[] = new MakeUpRow(
                    $session->id,
                    $session->series->section,
                    $session->series->title,
                    LocalDate::parse($session->day),
                    Say::because($session->reason),
                    FreeLine::ofOne($free),
                );
                $best = $free[0] ?? null;
                if ($best !== null && $best->clear === $best->sessions && $best->students === 0) {
                    $at = Zone::named($session->series->time_zone)->instant($best->firstDay, $best->start);
                    DB::table('sessions')->insert([
                        'series_id' => $session->series_id,
                        'day' => (new LocalDate($best->firstDay))->iso(),
                        'starts_at' => gmdate('Y-m-d H:i:sP', $at),
                        'ends_at' => gmdate('Y-m-d H:i:sP', $at + 60 * $best->minutes),
                        'state' => 'planned',
                        'is_extra' => true,
                    ]);
                }
            }

            return $rows;
        });
        $count = $all->count();

        return new MakeUpsPage(
            $rows,
            $count,
            max(1, $page),
            (int) ceil($count / self::AT_ONCE),
            $reason,
            array_values($lost->pluck('reason')->filter()->unique()->sort()->map(strval(...))->all()),
            $term->calendar()->zone->place(),
        );
    }

    /**
     * What is lost and not made up, in the order of its days: ids and reasons, of which there are few enough to be
     * counted and looked through here.
     *
     * @return Collection<int, stdClass>
     */
    private function lost(Term $term): Collection
    {
        return DB::table('sessions')
            ->join('series', 'series.id', '=', 'series_id')
            ->join('sections', 'sections.id', '=', 'section_id')
            ->where('term_id', $term->id)
            ->whereIn('state', [SessionState::Lost->value, SessionState::Cancelled->value])
            ->whereNotExists(
                fn ($q) => $q
                    ->from('sessions as made')
                    ->whereColumn('made.series_id', 'sessions.series_id')
                    ->whereColumn('made.makes_up', 'sessions.day')
                    ->where('made.state', 'planned'),
            )
            ->orderBy('day')
            ->orderBy('sessions.id')
            ->get(['sessions.id', 'reason']);
    }
}
