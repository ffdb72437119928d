<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Nomada\App\Support\DemoServicesDatabase;
use Nomada\App\Support\Services;

/**
 * A whole copy of Nomada under its own supervisor: web, stand-ins, workers, scheduler, on free ports, with the demo
 * school in a database of its own, and files of its own: several of them run side by side and know nothing of each
 * other.
 */
final class RunningCopy
{
    private static ?self $shared = null;

    private static ?Snapshot $demo = null;

    private Services $services;

    private function __construct(public readonly int $port, public readonly int $standinsPort)
    {
        $this->services = new Services();
    }

    /** The database of what runs here in a browser: one for each process that tests. */
    public static function database(string $name): string
    {
        $token = (string) getenv('TEST_TOKEN');

        return $token === '' ? $name : "{$name}_$token";
    }

    public static function shared(): self
    {
        self::$shared ??= self::begin();
        self::$shared->configure();

        return self::$shared;
    }

    public function url(): string
    {
        return "http://127.0.0.1:$this->port";
    }

    /** The demo school as imported, with nothing linked, registered or published. */
    public function freshDemo(): void
    {
        DemoServicesDatabase::clear();
        if (self::$demo !== null) {
            Snapshot::clear();
            self::$demo->putBack();

            return;
        }
        Artisan::call('migrate:fresh', ['--force' => true]);
        Artisan::call('nomada:demo', ['--fresh' => true]);
        self::$demo = Snapshot::take();
    }

    /** Moves the copy's clock on Tuesday 9 February, on Madrid's. */
    public function clock(string $time): void
    {
        app(\Nomada\App\Support\Clock::class)->set((int) strtotime("2027-02-09 $time Europe/Madrid"));
    }

    /** Waits for what goes on behind the pages; the limit is for what never comes. */
    public function wait(callable $is): void
    {
        for ($until = microtime(true) + 300; ! $is(); usleep(100_000)) {
            microtime(true) < $until || throw new \RuntimeException('It did not come');
        }
    }

    public function standins(): StandinServer
    {
        return StandinServer::at("http://127.0.0.1:$this->standinsPort", (string) config('nomada.standins.token'));
    }

    /** A new machine: no demo, and nothing in its database. The caller ends it. */
    public static function bare(): self
    {
        return self::begin(['NOMADA_DEMO' => 'no']);
    }

    public function end(): void
    {
        $this->services->stop(10);
        self::$shared?->configure();
    }

    /** @param  array<string, string>  $with  settings besides */
    private static function begin(array $with = []): self
    {
        $self = new self(StandinServer::freePort(), StandinServer::freePort());
        File::ensureDirectoryExists($self->files('logs'));
        foreach (['cache/data', 'sessions', 'views'] as $folder) {
            File::ensureDirectoryExists($self->files("framework/$folder"));
        }
        $self->configure();
        if ($with === []) {
            $self->freshDemo();
        } else {
            DemoServicesDatabase::clear();
            Artisan::call('migrate:fresh', ['--force' => true]);
        }
        // Served as bin/start serves it: from settings and routes that are read once.
        foreach (['config:cache', 'route:cache'] as $command) {
            Process::env($with + $self->environment())
                ->run([PHP_BINARY, base_path('artisan'), $command])
                ->throw();
        }
        $self->services->start(
            "browser-copy-$self->port",
            [PHP_BINARY, base_path('artisan'), 'nomada:run'],
            $with + $self->environment(),
        );
        // The supervisor says when all is up.
        $log = storage_path("logs/browser-copy-$self->port.log");
        while (! str_contains((string) file_get_contents($log), 'Ctrl-C')) {
            $self->services->isRunning("browser-copy-$self->port") ||
                throw new \RuntimeException("The copy did not come up on $self->port; see $log");
            usleep(50_000);
        }
        register_shutdown_function(function () use ($self): void {
            $self->services->stop(10);
            exec('rm -rf '.escapeshellarg($self->files()));
        });

        return $self;
    }

    private function files(string $path = ''): string
    {
        return rtrim(sys_get_temp_dir()."/nomada-copy-$this->port/$path", '/');
    }

    private function configure(): void
    {
        config([
            'database.connections.pgsql.database' => self::database('nomada_browser'),
            'filesystems.disks.materials.root' => $this->files('app/materials'),
            'filesystems.disks.recordings.root' => $this->files('app/recordings'),
            'nomada.port' => $this->port,
            'nomada.standins.port' => $this->standinsPort,
            'nomada.standins.url' => "http://127.0.0.1:$this->standinsPort",
            'app.url' => $this->url(),
        ]);
        \Illuminate\Support\Facades\URL::forceRootUrl($this->url());
        DB::purge();
    }

    /** @return array<string, string> */
    private function environment(): array
    {
        return [
            'APP_ENV' => 'production',
            'APP_URL' => $this->url(),
            'NOMADA_PORT' => (string) $this->port,
            'STANDINS_PORT' => (string) $this->standinsPort,
            'STANDINS_URL' => "http://127.0.0.1:$this->standinsPort",
            'DB_DATABASE' => self::database('nomada_browser'),
            // A request of a test can ask to die in the middle (tests/Support/dies.php).
            'NOMADA_ROUTER' => base_path('tests/Support/dies.php'),
            'LARAVEL_STORAGE_PATH' => $this->files(),
            'APP_CONFIG_CACHE' => $this->files('config.php'),
            'APP_ROUTES_CACHE' => $this->files('routes.php'),
            // Pages that one copy has compiled serve all.
            'VIEW_COMPILED_PATH' => storage_path('framework/views'),
            'SESSION_DRIVER' => 'file',
            'CACHE_STORE' => 'file',
            'DB_QUEUE_RETRY_AFTER' => '2',
            'NOMADA_PAUSES' => '0.2,0.5',
            'LOG_LEVEL' => 'error',
            'NOMADA_WORKERS' => '2',
            'STANDINS_PROCESSING' => '1',
        ];
    }
}
