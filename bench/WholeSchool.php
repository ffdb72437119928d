<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Models\Term\Section;

/** The large school is published at once, some 100,000 placements: whether a run slows down as it goes. */
final class WholeSchool
{
    /** Parts of the run whose speeds are compared. */
    private const PARTS = 5;

    /** How much slower the last part may be than the first. */
    private const SLOWER = 1.25;

    public function run(): bool
    {
        $served = new ServedSchool(null);
        try {
            Artisan::call('nomada:links');
            Artisan::call('nomada:register');
            DB::table('runs')->delete();
            $at = microtime(true);
            $run = app(StartRun::class)->publish(
                array_values(Section::query()->orderBy('id')->pluck('id')->all()),
                null,
            )->run;
            $began = microtime(true) - $at;
            while ($run !== null && $run->refresh()->ended_at === null && microtime(true) - $at < 1800) {
                usleep(200_000);
            }
            $took = microtime(true) - $at;
            $speeds = array_map(
                floatval(...),
                DB::table(
                    DB::table('run_steps')
                        ->where('state', 'done')
                        ->select('done_at')
                        ->selectRaw('ntile(?) over (order by done_at) as part', [self::PARTS]),
                    'steps',
                )
                    ->groupBy('part')
                    ->orderBy('part')
                    ->selectRaw('count(*) / extract(epoch from max(done_at) - min(done_at)) as speed')
                    ->pluck('speed')
                    ->all(),
            );
            $once = DB::table('published_items')->whereColumn('desired_hash', 'published_hash')->count();
            printf(
                "publish-all: %d placements stand as they should, of %d, in %.0f s (%.0f of them to begin with)\n".
                    "  %s a second, from its first fifth to its last\n",
                $once,
                DB::table('published_items')->count(),
                $took,
                $began,
                implode(', ', array_map(fn (float $s): string => sprintf('%.0f', $s), $speeds)),
            );

            return $once === DB::table('published_items')->count() && $speeds[0] <= self::SLOWER * end($speeds);
        } finally {
            $served->end();
        }
    }
}
