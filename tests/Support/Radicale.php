<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Support\Facades\Http;
use Nomada\App\Support\Services;
use RuntimeException;

/** A calendar server that others wrote (Debian's radicale), as a real process with a folder of its own. */
final class Radicale
{
    private static ?self $shared = null;

    public const USER = 'nomada';

    public const PASSWORD = 'tide-27';

    private Services $services;

    private function __construct(public readonly int $port, private readonly string $folder)
    {
        $this->services = new Services();
    }

    public static function shared(): self
    {
        if (self::$shared === null) {
            $folder = sys_get_temp_dir().'/nomada-radicale-'.getmypid();
            @mkdir($folder, 0700, true);
            file_put_contents("$folder/users", self::USER.':'.self::PASSWORD."\n");
            self::$shared = new self(StandinServer::freePort(), $folder);
            self::$shared->start();
            register_shutdown_function(fn () => self::$shared?->end());
        }

        return self::$shared;
    }

    public function start(): void
    {
        $this->services->start("radicale-$this->port", [
            '/usr/bin/python3',
            '-m',
            'radicale',
            '--config',
            '/dev/null',
            "--server-hosts=127.0.0.1:$this->port",
            '--auth-type=htpasswd',
            "--auth-htpasswd-filename=$this->folder/users",
            '--auth-htpasswd-encryption=plain',
            '--auth-delay=0',
            "--storage-filesystem-folder=$this->folder/kept",
            '--web-type=none',
        ]);
        $this->services->waitForService("radicale-$this->port", $this->port) ||
            throw new RuntimeException('Radicale did not come up');
    }

    public function stop(): void
    {
        $this->services->stop(2);
    }

    public function empty(): void
    {
        exec('rm -rf '.escapeshellarg("$this->folder/kept/collection-root").'/*');
    }

    public function end(): void
    {
        $this->stop();
        exec('rm -rf '.escapeshellarg($this->folder));
    }

    public function url(): string
    {
        return "http://127.0.0.1:$this->port";
    }

    /** @return array<string, string> what is in a person's calendar, by name of the file */
    public function calendar(string $person): array
    {
        $out = [];
        foreach (glob("$this->folder/kept/collection-root/".self::USER."/$person/*.ics") ?: [] as $file) {
            $out[basename($file)] = (string) file_get_contents($file);
        }

        return $out;
    }

    public function put(string $path, string $body): void
    {
        Http::withBasicAuth(self::USER, self::PASSWORD)
            ->withBody($body, 'text/calendar')
            ->put($this->url().$path)
            ->throw();
    }

    public function delete(string $path): void
    {
        Http::withBasicAuth(self::USER, self::PASSWORD)
            ->delete($this->url().$path)
            ->throw();
    }
}
