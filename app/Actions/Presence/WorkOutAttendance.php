<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\DB;

/**
 * Works out what every session came to, after the school's thresholds or its rosters have changed: a few sections a
 * job, so that none grows with the school. Done twice, it does the same.
 */
final class WorkOutAttendance implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    /** How many sections one job takes. */
    private const AT_ONCE = 20;

    public int $tries = 3;

    public int $timeout = 300;

    /** @param  list<int>|null  $sections  ids; null for all that have held sessions */
    public function __construct(public readonly ?array $sections = null)
    {
    }

    public function handle(WorkOutSums $sums): void
    {
        if ($this->sections !== null) {
            array_map($sums->whole(...), $this->sections);

            return;
        }
        $all = DB::table('session_sums')->distinct()->orderBy('section_id')->pluck('section_id');
        // All of them or none, so that no part is left out or doubled when a worker is killed here.
        DB::transaction(function () use ($all): void {
            foreach ($all->chunk(self::AT_ONCE) as $some) {
                self::dispatch(array_values(array_map(intval(...), $some->all())));
            }
        });
    }
}
