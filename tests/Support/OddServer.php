<?php

declare(strict_types=1);

namespace Tests\Support;

use Nomada\App\Support\Services;
use RuntimeException;

/** The server of odd.php as a real process. */
final class OddServer
{
    private static ?self $shared = null;

    private function __construct(public readonly int $port, private readonly string $folder)
    {
    }

    public static function shared(): self
    {
        if (self::$shared === null) {
            $self = self::$shared = new self(
                StandinServer::freePort(),
                sys_get_temp_dir().'/nomada-odd-'.getmypid(),
            );
            @mkdir($self->folder, 0700, true);
            $services = new Services();
            $services->start(
                "odd-$self->port",
                [PHP_BINARY, '-S', "127.0.0.1:$self->port", __DIR__.'/odd.php'],
                ['KEPT' => $self->folder],
            );
            $services->waitForService("odd-$self->port", $self->port) ||
                throw new RuntimeException('The odd server did not come up');
            register_shutdown_function(function () use ($services, $self): void {
                $services->stop(1);
                exec('rm -rf '.escapeshellarg($self->folder));
            });
        }
        @unlink(self::$shared->folder.'/came');

        return self::$shared;
    }

    public function url(): string
    {
        return "http://127.0.0.1:$this->port";
    }

    /** What it gives at /cut, a third of it with each answer. */
    public function gives(string $all): void
    {
        file_put_contents("$this->folder/long", $all);
    }

    /** @return list<string> each request: host and path, password, range */
    public function came(): array
    {
        return (array) @file("$this->folder/came", FILE_IGNORE_NEW_LINES);
    }
}
