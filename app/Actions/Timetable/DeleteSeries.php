<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Timetable\Series;

/** Deletes a series with its sessions, links and registrations. What it has published is removed by the next publish run. */
final readonly class DeleteSeries
{
    public function __construct(private RefreshPlacements $refresh)
    {
    }

    public function __invoke(Series $series): void
    {
        DB::transaction(function () use ($series): void {
            $series->delete();
            ($this->refresh)([$series->section_id]);
        });
    }
}
