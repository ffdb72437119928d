<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Presence;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\DB;

/** Works out what every session came to, after the school's thresholds or its rosters have changed. */
final class WorkOutAttendance implements ShouldBeUnique, ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $timeout = 600;

    public function handle(WorkOutSums $sums): void
    {
        foreach (DB::table('session_sums')->distinct()->orderBy('section_id')->pluck('section_id') as $section) {
            $sums->whole((int) $section);
        }
    }
}
