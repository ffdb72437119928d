<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Session\EncryptedStore;
use Illuminate\Session\FileSessionHandler;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Support\InventedSchool;
use Nomada\App\Support\Services;
use RuntimeException;
use Tests\Support\StandinServer;

/**
 * The large school in a database of its own, served as bin/start serves it: web, stand-ins, workers. Imported once;
 * later runs find it.
 */
final class ServedSchool
{
    /** The number of workers that bin/bench was started with; benches run one after the other in one process. */
    private static string|false|null $given = null;

    private readonly Services $services;

    public readonly string $url;

    public readonly StandinServer $standins;

    /** @param  int|null  $workers  queue workers; null for as many as bin/start has */
    public function __construct(?int $workers)
    {
        self::$given ??= getenv('NOMADA_WORKERS');
        putenv(self::$given === false ? 'NOMADA_WORKERS' : 'NOMADA_WORKERS='.self::$given);
        unset($_ENV['NOMADA_WORKERS'], $_SERVER['NOMADA_WORKERS']);
        [$web, $standins] = [StandinServer::freePort(), StandinServer::freePort()];
        $this->url = "http://127.0.0.1:$web";
        $env = [
            'DB_DATABASE' => 'nomada_bench',
            'APP_ENV' => 'production',
            'APP_URL' => $this->url,
            'NOMADA_PORT' => (string) $web,
            'NOMADA_DEMO' => 'true',
            'STANDINS_PORT' => (string) $standins,
            ...$workers === null ? [] : ['NOMADA_WORKERS' => (string) $workers],
            'SESSION_DRIVER' => 'file',
            'CACHE_STORE' => 'file',
            'LOG_LEVEL' => 'error',
        ];
        foreach ($env as $name => $value) {
            putenv("$name=$value");
            $_ENV[$name] = $_SERVER[$name] = $value;
        }
        passthru('bin/db', $failed);
        if ($failed !== 0) {
            throw new RuntimeException('The database did not start.');
        }
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();
        Artisan::call('migrate', ['--force' => true]);
        if (! DB::table('schools')->exists()) {
            echo "importing the large school, once\n";
            $folder = sys_get_temp_dir().'/nomada-bench-600-9000';
            if (! is_file("$folder/timetable.csv")) {
                InventedSchool::write($folder, 600, 9000, 7, __DIR__.'/../database/demo/marisma/closures.ics');
            }
            Artisan::call('nomada:import', ['path' => $folder]);
        }
        // The school as imported: what an earlier run made goes with the stand-ins' rooms.
        DB::statement(
            'truncate join_links, registrations, emails, published_items, runs, run_steps, jobs, audit_log,
                announcements, section_announcements, outside_changes cascade',
        );
        $this->services = new Services();
        @unlink($log = storage_path('logs/bench.log'));
        $this->services->start('bench', [PHP_BINARY, base_path('artisan'), 'nomada:run'], $env);
        for (
            $until = microtime(true) + 600;
            ! str_contains((string) @file_get_contents($log), 'Ctrl-C');
            usleep(50_000)
        ) {
            microtime(true) < $until || throw new RuntimeException("The copy did not come up; see $log");
        }
        $this->standins = StandinServer::at("http://127.0.0.1:$standins", (string) config('nomada.standins.token'));
        $this->standins->reset();
    }

    public function end(): void
    {
        $this->services->stop();
    }

    /**
     * Processes of the copy that are still there once it has ended. The database stays, as it does after `bin/start`.
     *
     * @return list<string> pid and command line
     */
    public function left(): array
    {
        $out = [];
        foreach (glob('/proc/[0-9]*') ?: [] as $folder) {
            $environment = (string) @file_get_contents("$folder/environ");
            if (
                (int) basename($folder) !== getmypid() &&
                basename((string) @readlink("$folder/exe")) !== 'postgres' &&
                str_contains("\0$environment", "\0APP_URL=$this->url\0") &&
                str_contains("\0$environment", "\0DB_DATABASE=nomada_bench\0")
            ) {
                $out[] =
                    basename($folder).
                    ' '.
                    str_replace("\0", ' ', (string) @file_get_contents("$folder/cmdline"));
            }
        }

        return $out;
    }

    /** The cookie of somebody who has signed in. */
    public function cookie(int $person): string
    {
        // Sealed as the sessions of the application are: what is not would be read as nothing, and be a stranger.
        $store = new EncryptedStore(
            (string) config('session.cookie'),
            new FileSessionHandler(app('files'), (string) config('session.files'), 240),
            app('encrypter'),
        );
        $store->setId($id = Str::random(40));
        $store->start();
        $store->put('login_web_'.sha1('Illuminate\Auth\SessionGuard'), $person);
        $store->put('_token', 'bench');
        $store->save();
        $name = (string) config('session.cookie');
        $key = app('encrypter')->getKey();

        return $name.
            '='.
            rawurlencode(app('encrypter')->encrypt(CookieValuePrefix::create($name, $key).$id, false));
    }

    /**
     * All at once.
     *
     * @param  array<array{string, string, string}>  $requests  address, cookie, body of a POST (empty for a GET)
     * @return array{list<float>, array<int, int>} server times in ms, ascending; how many answers of each status
     */
    public function atOnce(array $requests): array
    {
        $multi = curl_multi_init();
        $all = $times = $statuses = [];
        foreach ($requests as $i => [$address, $cookie, $body]) {
            $curl = curl_init($address) ?: throw new RuntimeException('no curl');
            curl_setopt($curl, CURLOPT_RETURNTRANSFER, true);
            if ($cookie !== '') {
                curl_setopt($curl, CURLOPT_COOKIE, $cookie);
            }
            curl_setopt($curl, CURLOPT_TIMEOUT, 60);
            curl_setopt($curl, CURLOPT_HEADERFUNCTION, function (mixed $c, string $line) use (&$times, $i): int {
                if (preg_match('/^server-timing:.*dur=([\d.]+)/i', $line, $m) === 1) {
                    $times[$i] = (float) $m[1];
                }

                return strlen($line);
            });
            if ($body !== '') {
                curl_setopt($curl, CURLOPT_POSTFIELDS, $body);
            }
            curl_multi_add_handle($multi, $curl);
            $all[] = $curl;
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.05);
        } while ($running > 0);
        foreach ($all as $curl) {
            $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
            $statuses[$status] = ($statuses[$status] ?? 0) + 1;
        }
        sort($times);

        return [$times, $statuses];
    }
}
