<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesChange;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\DryRun;
use Nomada\App\Support\HistoryLine;
use Nomada\Core\Fault;
use Nomada\Core\Timetable\SessionChangeForm;
use Nomada\Core\Timetable\SessionVerb;

/** What a form for the sessions of a series would do: it is done, looked at and taken back. */
final readonly class LookAtChange
{
    public function __construct(private PerformChange $perform)
    {
    }

    /** @throws Fault where it cannot be done */
    public function __invoke(Series $series, ?Session $session, SessionChangeForm $form, Person $by): ChangeLook
    {
        $id = $series->id;
        $isOpen = self::isOpen($series, $form);

        return DryRun::of(function () use ($id, $session, $form, $by, $isOpen): ChangeLook {
            $clashes = self::clashingDays($id);
            $series = Series::query()
                ->with(['section.term.school', 'section.term.closures'])
                ->findOrFail($id);
            $own = $session === null ? null : Session::query()->find($session->id)?->setRelation('series', $series);
            ($this->perform)($series, $own, $form, $by);
            $line = SeriesChange::query()->where('series_id', $id)->latest('id')->firstOrFail();

            return new ChangeLook(
                HistoryLine::said($line->words, $line->said),
                max(0, self::clashingDays($id) - $clashes),
                $isOpen,
            );
        });
    }

    private static function clashingDays(int $series): int
    {
        return (int) DB::table('clashes')
            ->where(fn ($q) => $q->where('series_id', $series)->orWhere('other_series_id', $series))
            ->sum(DB::raw('jsonb_array_length(days)'));
    }

    private static function isOpen(Series $series, SessionChangeForm $form): bool
    {
        if (! in_array($form->verb, [SessionVerb::Move, SessionVerb::Add], true)) {
            return true;
        }
        $term = $series->section->term;
        $start = $form->number('start');

        return $term->opens_minute <= $start && $start + $form->number('minutes') <= $term->closes_minute;
    }
}
