<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Illuminate\Support\Collection;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\MakeUpProposals;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\Panel\FreeLine;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\FreeTime;
use stdClass;

/** Draws the lost and cancelled sessions of a term that nothing makes up yet, each with the best free times. */
final readonly class MakeUps
{
    public function __construct(private MakeUpProposals $proposals)
    {
    }

    /**
     * The sessions that are listed, and made up in one step.
     *
     * @param  string  $reason  why they are lost; empty for all
     * @return list<int> ids
     */
    public function listed(Term $term, string $reason): array
    {
        return $this->ids($this->proposals->lost($term), $reason);
    }

    /** @param  array<int, list<FreeTime>>|null  $times  of those that are listed; null while they are worked out */
    public function of(Term $term, string $reason, ?array $times): MakeUpsPage
    {
        $lost = $this->proposals->lost($term);
        $ids = $this->ids($lost, $reason);

        return new MakeUpsPage(
            $times === null ? null : $this->rows($term, $times),
            ($reason === '' ? $lost : $lost->where('reason', $reason))->count(),
            count($ids),
            $times === null ? $this->proposals->done($term, $ids) : count($ids),
            $reason,
            array_values($lost->pluck('reason')->filter()->unique()->sort()->map(strval(...))->all()),
            Say::place($term->calendar()->zone),
        );
    }

    /**
     * @param  Collection<int, stdClass>  $lost
     * @return list<int>
     */
    private function ids(Collection $lost, string $reason): array
    {
        $all = $reason === '' ? $lost : $lost->where('reason', $reason);

        return array_values($all->take(MakeUpProposals::AT_ONCE)->pluck('id')->map(intval(...))->all());
    }

    /**
     * @param  array<int, list<FreeTime>>  $times  by session
     * @return list<MakeUpRow>
     */
    private function rows(Term $term, array $times): array
    {
        return array_values(
            Session::query()
                ->whereKey(array_keys($times))
                ->with('series.section')
                ->orderBy('day')
                ->orderBy('id')
                ->get()
                ->map(function (Session $session) use ($term, $times): MakeUpRow {
                    $session->series->section->setRelation('term', $term);

                    return new MakeUpRow(
                        $session->id,
                        $session->series->section,
                        $session->series->title,
                        LocalDate::parse($session->day),
                        Say::because($session->reason),
                        FreeLine::ofOne($times[$session->id]),
                    );
                })
                ->all(),
        );
    }
}
