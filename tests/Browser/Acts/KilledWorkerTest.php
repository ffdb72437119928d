<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\DemoServicesDatabase;
use Nomada\App\Support\Services;
use Tests\Support\RunningCopy;
use Tests\Support\StandinServer;

// Real processes: the worker is killed with SIGKILL in the middle of its work, more than once. In a database of its
// own.

function until(callable $is, string $for, float $seconds = 1200): void
{
    $end = microtime(true) + $seconds;
    while (! $is()) {
        microtime(true) < $end ?: throw new RuntimeException("Waited in vain for $for");
        usleep(10_000);
    }
}

/**
 * Kills a worker with all that it has started. On a busy machine it may not lead a group of its own yet.
 *
 * @param  resource  $process
 */
function killed($process): void
{
    $pid = proc_get_status($process)['pid'];
    posix_kill(-$pid, SIGKILL) || posix_kill($pid, SIGKILL);
    proc_close($process);
}

test('after a worker is killed in the middle of a publish run, every placement stands exactly once', function () {
    $database = RunningCopy::database('nomada_killed');
    config([
        'database.connections.pgsql.database' => $database,
    ]);
    DB::purge();
    DemoServicesDatabase::clear();
    Artisan::call('migrate:fresh', ['--force' => true]);
    $port = StandinServer::freePort();
    [$command, $env] = Services::standins($port);
    $services = new Services();
    $services->start('standins-killed', $command, $env);
    $services->waitForService('standins-killed', $port);
    config(['nomada.standins.url' => "http://127.0.0.1:$port", 'nomada.standins.port' => $port]);
    $standins = StandinServer::at("http://127.0.0.1:$port", $env['STANDINS_TOKEN']);
    $worker = function () use ($port, $database) {
        return proc_open(
            ['setsid', PHP_BINARY, base_path('artisan'), 'queue:work', '--tries=0', '--sleep=0.1', '--timeout=30'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            base_path(),
            [
                'DB_DATABASE' => $database,
                'STANDINS_PORT' => (string) $port,
                'STANDINS_URL' => "http://127.0.0.1:$port",
                'DB_QUEUE_RETRY_AFTER' => '1',
                'CACHE_STORE' => 'file',
            ] + getenv(),
        );
    };
    try {
        $this->school();
        Artisan::call('nomada:links');
        Artisan::call('nomada:register');
        foreach (['course', 'calendar', 'stream'] as $service) {
            $standins->behave($service, ['slow_ms' => 150]);
        }
        $run = app(StartRun::class)->publish(Section::query()->pluck('id')->all(), null)->run;
        $done = fn (): int => $run->steps()->where('state', 'done')->count();
        // By what is there already, not by what is noted: in the middle of steps that are done side by side.
        $stands = fn (): int => DemoServicesDatabase::connection()
            ->table('documents')
            ->where('service', 'course')
            ->count();
        foreach ([2, 6, 16] as $enough) {
            $process = $worker();
            until(fn (): bool => $stands() >= $enough, "$enough items");
            killed($process);
        }
        expect($done())->toBeLessThan(36);
        $process = $worker();
        until(fn (): bool => $run->refresh()->ended_at !== null, 'the run to end');
        killed($process);

        expect($run->steps()->where('state', 'done')->count())
            ->toBe(36)
            ->and($run->steps()->where('state', 'failed')->count())
            ->toBe(0)
            ->and(DB::table('published_items')->whereColumn('desired_hash', 'published_hash')->count())
            ->toBe(36)
            ->and($standins->get('/course/pages/MAR')['items'])
            ->toHaveCount(14)
            ->and($standins->get('/course/pages/SPA')['items'])
            ->toHaveCount(14)
            ->and($standins->get('/calendar/people/S-1')['objects'])
            ->toHaveCount(1)
            ->and($standins->get('/calendar/people/T-2')['objects'])
            ->toHaveCount(1)
            ->and($standins->get('/stream/sections/MAR')['posts'])
            ->toHaveCount(1)
            ->and($standins->get('/stream/sections/SPA')['posts'])
            ->toHaveCount(1);
        // The console's own run goes on through a database that cuts every connection, and says what came of it.
        DB::table('published_items')->update(['published_hash' => 'older']);
        // The stand-ins' connections are their own affair.
        $others = array_column(
            DB::select('select pid from pg_stat_activity where datname = ?', [$database]),
            'pid',
        );
        $console = proc_open(
            [PHP_BINARY, base_path('artisan'), 'nomada:publish', '--json'],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            base_path(),
            [
                'DB_DATABASE' => $database,
                'STANDINS_PORT' => (string) $port,
                'STANDINS_URL' => "http://127.0.0.1:$port",
                'CACHE_STORE' => 'file',
            ] + getenv(),
        );
        $older = fn (): int => DB::table('published_items')->where('published_hash', 'older')->count();
        until(fn (): bool => $older() < 36, 'the console to begin');
        DB::select(
            'select pg_terminate_backend(pid) from pg_stat_activity where datname = ? and not pid = any(?::int[])',
            [$database, '{'.implode(',', $others).'}'],
        );
        $said = json_decode((string) stream_get_contents($pipes[1]), true);
        expect(proc_close($console))
            ->toBe(0)
            ->and([$said['done'], $said['failed'], $older()])
            ->toBe([36, [], 0]);
        // And nothing is left to do.
        expect(app(StartRun::class)->publish(Section::query()->pluck('id')->all(), null)->run)->toBeNull();
    } finally {
        $services->stop(2);
    }
});
