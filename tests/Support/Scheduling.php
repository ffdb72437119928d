<?php

namespace Tests\Support;

use Nomada\App\Support\Services;
use RuntimeException;

/** Radicale with scheduling in front of it (scheduling.php), as a real process. */
final class Scheduling
{
    private static ?self $shared = null;

    private Services $services;

    private function __construct(public readonly int $port, private readonly string $folder)
    {
        $this->services = new Services();
    }

    public static function shared(): self
    {
        if (self::$shared === null) {
            $folder = sys_get_temp_dir().'/nomada-scheduling-'.getmypid();
            @mkdir($folder, 0700, true);
            self::$shared = new self(StandinServer::freePort(), $folder);
            self::$shared->services->start(
                'scheduling-'.self::$shared->port,
                [PHP_BINARY, '-S', '127.0.0.1:'.self::$shared->port, __DIR__.'/scheduling.php'],
                ['BEHIND' => Radicale::shared()->url(), 'KEPT' => $folder],
            );
            self::$shared->services->waitForService('scheduling-'.self::$shared->port, self::$shared->port) ||
                throw new RuntimeException('Scheduling did not come up');
            register_shutdown_function(function (): void {
                self::$shared?->services->stop(2);
                exec('rm -rf '.escapeshellarg((string) self::$shared?->folder));
            });
        }

        return self::$shared;
    }

    public function url(): string
    {
        return "http://127.0.0.1:$this->port";
    }

    /** Nobody was invited yet; and whether it offers to invite at all. */
    public function begin(bool $offers = true): void
    {
        array_map(unlink(...), glob("$this->folder/*") ?: []);
        $offers || touch("$this->folder/none");
    }

    /** @return list<string> ATTENDEE lines, in the order in which it invited */
    public function invited(): array
    {
        $lines = @file("$this->folder/invited", FILE_IGNORE_NEW_LINES);

        return $lines === false ? [] : $lines;
    }
}
