<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Models\Term\Section;

/**
 * Links for 600 series are made by the queue workers that bin/start has, from a bridge that answers in 50 ms and takes
 * 20 requests a second; the peer is what that limit allows at best.
 */
final class Links
{
    private const MANY = 600;

    private const PER_SECOND = 20;

    public function run(): bool
    {
        $served = new ServedSchool(null);
        try {
            $served->standins->behave('bridge', ['slow_ms' => 50, 'per_second' => self::PER_SECOND]);
            $sections = [];
            $n = 0;
            foreach (Section::query()->withCount('series')->orderBy('id')->get() as $section) {
                if ($n + (int) $section->series_count <= self::MANY) {
                    $sections[] = $section->id;
                    $n += (int) $section->series_count;
                }
            }
            $at = microtime(true);
            $run = app(StartRun::class)->links($sections, null);
            while ($run !== null && $run->refresh()->ended_at === null && microtime(true) - $at < 300) {
                usleep(100_000);
            }
            $took = microtime(true) - $at;
            $made = DB::table('join_links')->where('kind', 'series')->whereNull('retired_at')->count();
            $tries = (int) DB::table('run_steps')->sum('tries');
            $ideal = $made / self::PER_SECOND;
            printf(
                "links: %d of %d made, %d turned away and tried again\n  %.1f s, where the limit allows %.1f s at ".
                    "best: %.2f times as long\n",
                $made,
                $n,
                $tries,
                $took,
                $ideal,
                $took / max(0.1, $ideal),
            );

            return $made === $n && $took <= 1.1 * $ideal;
        } finally {
            $served->end();
        }
    }
}
