<?php

declare(strict_types=1);

namespace Tests\Support;

use Nomada\App\Support\Services;
use RuntimeException;

/**
 * Another calendar server that others wrote (Debian's xandikos): it says 404 within an answer that is good as a whole.
 */
final class Xandikos
{
    private static ?string $url = null;

    public static function url(): string
    {
        if (self::$url === null) {
            [$port, $folder] = [StandinServer::freePort(), sys_get_temp_dir().'/nomada-xandikos-'.getmypid()];
            @mkdir($folder, 0700, true);
            $services = new Services();
            $services->start("xandikos-$port", [
                '/usr/bin/xandikos',
                '-d',
                $folder,
                '--defaults',
                '--current-user-principal=/nomada/',
                '-l',
                '127.0.0.1',
                '-p',
                (string) $port,
            ]);
            $services->waitForService("xandikos-$port", $port) ||
                throw new RuntimeException('Xandikos did not come up');
            register_shutdown_function(function () use ($services, $folder): void {
                $services->stop(2);
                exec('rm -rf '.escapeshellarg($folder));
            });
            self::$url = "http://127.0.0.1:$port";
        }

        return self::$url;
    }
}
