<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Illuminate\Database\Eloquent\Builder;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\View\Timetable\FreeTimesQuery;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;

/**
 * The lost and cancelled sessions of a term that nothing makes up yet, a few at a time, each with the best free times.
 */
final readonly class MakeUps
{
    private const AT_ONCE = 4;

    public function __construct(private FreeTimesQuery $free)
    {
    }

    /** @return array<string, mixed> */
    public function data(Term $term, string $reason, int $page): array
    {
        $all = $this->query($term, $reason);
        $sessions = (clone $all)
            ->with(['series.section'])
            ->orderBy('day')
            ->orderBy('id')
            ->forPage(max(1, $page), self::AT_ONCE)
            ->get();
        $rows = [];
        foreach ($sessions as $session) {
            $session->series->section->setRelation('term', $term);
            $rows[] = [
                'session' => $session,
                'date' => LocalDate::parse($session->day),
                'free' => $this->free->forOne($session->series, LocalDate::parse($session->day), 3),
            ];
        }
        $count = (clone $all)->count();

        return [
            'term' => $term,
            'rows' => $rows,
            'count' => $count,
            'page' => max(1, $page),
            'pages' => (int) ceil($count / self::AT_ONCE),
            'reason' => $reason,
            'reasons' => $this->query($term, '')->distinct()->orderBy('reason')->pluck('reason')->all(),
            'zone' => $term->calendar()->zone,
        ];
    }

    /** @return Builder<Session> */
    private function query(Term $term, string $reason): Builder
    {
        return Session::query()
            ->whereIn('state', [SessionState::Lost, SessionState::Cancelled])
            ->whereRelation('series.section', 'term_id', $term->id)
            ->when($reason !== '', fn ($q) => $q->where('reason', $reason))
            ->whereNotExists(
                fn ($q) => $q
                    ->from('sessions as made')
                    ->whereColumn('made.series_id', 'sessions.series_id')
                    ->whereColumn('made.makes_up', 'sessions.day')
                    ->where('made.state', 'planned'),
            );
    }
}
