<?php

declare(strict_types=1);

namespace Nomada\App\Post;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Timetable\Series;

/**
 * Writes to everybody of sections' series, one section a job. Done again after a worker was killed, nobody is written
 * to twice.
 */
final class WriteInvitations implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 30;

    /** @param  list<int>  $sections */
    public function __construct(public readonly array $sections)
    {
    }

    public function handle(Letters $letters): void
    {
        if (count($this->sections) > 1) {
            DB::transaction(fn () => array_map(fn (int $id) => self::dispatch([$id]), $this->sections));

            return;
        }
        foreach (
            Series::query()
                ->whereIn(
                    'id',
                    DB::table('series_sections')->whereIn('section_id', $this->sections)->select('series_id'),
                )
                ->with('section')
                ->get() as $series
        ) {
            $letters->invite($series);
        }
    }
}
