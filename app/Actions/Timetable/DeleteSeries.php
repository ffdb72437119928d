<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Joining\JoinLink;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Locks;
use Nomada\Core\Language\Said;

/**
 * Deletes a series with its sessions, links and registrations; the history keeps them, so that it can be undone. What
 * it has published is removed by the next publish run.
 */
final readonly class DeleteSeries
{
    public function __construct(
        private RefreshPlacements $refresh,
        private SeriesHistory $history,
        private Audit $audit,
    ) {
    }

    /** @param  int|null  $import  the import that removes it, where it is not a person who deletes it */
    public function __invoke(Series $series, ?Person $by = null, ?int $import = null): void
    {
        DB::transaction(function () use ($series, $by, $import): void {
            Locks::timetableOf($series->id);
            Locks::series($series->id);
            $links = JoinLink::query()->inForce()->where('series_id', $series->id)->count();
            if ($links > 0) {
                ($this->audit)(
                    'link',
                    $series->loadMissing('section'),
                    $by,
                    new Said('audit.deleted', ['n' => $links]),
                );
            }
            $this->history->record(
                $series,
                $by,
                new Said('history.deleted', ['series' => $series->title]),
                $this->history->snapshot($series->id, true),
                $import,
            );
            $this->quietly($series);
        });
    }

    /** Without a line in the history: the undoing of its making. */
    public function quietly(Series $series): void
    {
        $sections = $series->sectionIds();
        $series->delete();
        ($this->refresh)($sections);
    }
}
