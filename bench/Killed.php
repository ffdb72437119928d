<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Actions\Publishing\TellTruth;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\DemoServicesDatabase;
use RuntimeException;
use Throwable;

/**
 * A run of 10,000 placements, in the middle of which everything is killed with SIGKILL, one after the other: workers,
 * the web, its master alone, the stand-ins (calendar server, course site, stream), a process of the database, which
 * then recovers, and the database's master. Whatever watches over them starts them again; the database's master is
 * started by hand, as after a reboot. Every placement has to stand exactly once, the truth has to be empty, and when
 * the copy is ended no process of it may be left.
 *
 * There is no peer: it measures nothing, and takes longer than a test may.
 */
final class Killed
{
    private const MANY = 10_000;

    /** Of what, once so much of the run is done. */
    private const KILLS = [
        ['worker-1', 0.05],
        ['standins', 0.15],
        ['worker-2', 0.25],
        ['web', 0.35],
        ['database', 0.4],
        ['web-master', 0.5],
        ['standins', 0.6],
        ['database-master', 0.7],
        ['worker-1', 0.8],
        ['database', 0.9],
    ];

    /** Id of the run that is killed. */
    private string $run;

    public function run(): bool
    {
        $served = new ServedSchool(null);
        try {
            $sections = $this->sections();
            $run =
                app(StartRun::class)->publish($sections, null)->run ??
                throw new RuntimeException('nothing to publish');
            $this->run = $run->id;
            $all = $run->steps()->count();
            $at = microtime(true);
            foreach (self::KILLS as [$what, $part]) {
                $this->until(fn (): bool => $this->done() >= $part * $all, "$part of the run");
                $this->kill($what);
                printf("  %5.1f s: %s killed at %d of %d\n", microtime(true) - $at, $what, $this->done(), $all);
            }
            $this->until(fn (): bool => $run->refresh()->ended_at !== null, 'the end of the run');
            $took = microtime(true) - $at;
            $states = $this->states();
            // Steps that a destination was away for too long for are tried again by hand, as a person would.
            for ($n = 0; ($states['failed'] ?? 0) > 0 && $n < 3; $n++) {
                app(StartRun::class)->again($run->refresh());
                $this->until(
                    fn (): bool => $run->refresh()->ended_at !== null && ! DB::table('jobs')->exists(),
                    'the rest of the run',
                );
                $states = $this->states();
            }
            $more = $this->tooMuch();
            $stand = DB::table('published_items')->whereColumn('desired_hash', 'published_hash')->count();
            $truth = app(TellTruth::class)($sections);
            printf(
                'killed: %d placements in %.1f s through %d kills; %d done, %d stand as they should, %d too many, %d '.
                    "see something else\n",
                $all,
                $took,
                count(self::KILLS),
                $states['done'] ?? 0,
                $stand,
                $more,
                $truth->differing(),
            );

            $isWhole =
                ($states['done'] ?? 0) === $all && $stand === $all && $more === 0 && $truth->differing() === 0;
        } finally {
            $served->end();
        }
        $left = $served->left();
        printf("  processes left afterwards: %s\n", $left === [] ? 'none' : implode('; ', $left));

        return $isWhole && $left === [];
    }

    /** @return list<int> enough of them */
    private function sections(): array
    {
        $sections = [];
        foreach (Section::query()->orderBy('id')->get() as $section) {
            $sections[] = $section->id;
            Artisan::call('nomada:links', ['--section' => [$section->sourced_id]]);
            Artisan::call('nomada:register', ['--section' => [$section->sourced_id]]);
            if (DB::table('published_items')->whereIn('section_id', $sections)->count() >= self::MANY) {
                break;
            }
        }

        return $sections;
    }

    /** @return array<string, int> how many steps are in which state */
    private function states(): array
    {
        return DB::table('run_steps')
            ->where('run_id', $this->run)
            ->selectRaw('state, count(*) as many')
            ->groupBy('state')
            ->pluck('many', 'state')
            ->all();
    }

    private function done(): int
    {
        return DB::table('run_steps')->where('run_id', $this->run)->where('state', '!=', 'waiting')->count();
    }

    /** Asked through a database that may be away. */
    private function until(callable $is, string $for): void
    {
        $until = microtime(true) + 900;
        while (true) {
            try {
                if ($is()) {
                    return;
                }
            } catch (Throwable) {
                DB::purge();
            }
            microtime(true) < $until || throw new RuntimeException("Waited in vain for $for");
            usleep(100_000);
        }
    }

    private function kill(string $what): void
    {
        if ($what === 'database') {
            // One of its processes is enough: the server ends all others and recovers from its log.
            $pid = DB::table('pg_stat_activity')
                ->where('datname', 'nomada_bench')
                ->whereRaw('pid <> pg_backend_pid()')
                ->whereRaw("backend_type = 'client backend'")
                ->value('pid');
            posix_kill((int) $pid, SIGKILL);
            DB::purge();
            $this->until(fn (): bool => DB::selectOne('select 1 as one')->one === 1, 'the database');

            return;
        }
        if ($what === 'database-master') {
            $data = (string) DB::scalar('show data_directory');
            DB::purge();
            posix_kill((int) file_get_contents("$data/postmaster.pid"), SIGKILL);
            // Its processes end on their own once they notice; before that, none may take its place.
            $this->until(fn (): bool => $this->startsDatabase(), 'the database');

            return;
        }
        $name = str_replace('-master', '', $what);
        $pid = (int) file_get_contents(base_path("var/run/$name-".config('nomada.port').'.pid'));
        posix_kill($what === $name ? -$pid : $pid, SIGKILL);
    }

    private function startsDatabase(): bool
    {
        exec(base_path('bin/db').' 2>/dev/null', $lines, $code);

        return $code === 0 && DB::selectOne('select 1 as one')->one === 1;
    }

    /**
     * How much more is served than there are placements: a document has one path and cannot stand twice, a post could;
     * and what is there without belonging to any placement is one too many as well.
     */
    private function tooMuch(): int
    {
        $services = DemoServicesDatabase::connection();
        $stand = $services->table('documents')->count() + $services->table('posts')->count();

        return $stand - DB::table('published_items')->whereNotNull('published_hash')->count();
    }
}
