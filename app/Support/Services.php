<?php

declare(strict_types=1);

namespace Nomada\App\Support;

/**
 * Long-running processes of ours, each in a session of its own: `php -S` leaves its workers on the port when only its
 * first process is ended, so the whole group is.
 */
final class Services
{
    /** @var array<string, array{resource, int, string}> process, its group, and the file that tells of it */
    private array $running = [];

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $env
     */
    public function start(string $name, array $command, array $env = []): void
    {
        $log = storage_path("logs/$name.log");
        $process = proc_open(
            ['setsid', 'setpriv', '--pdeathsig', 'TERM', ...$command],
            [['file', '/dev/null', 'r'], ['file', $log, 'a'], ['file', $log, 'a']],
            $pipes,
            base_path(),
            $env + getenv(),
        );
        if ($process === false) {
            throw new \RuntimeException("$name could not be started; see $log");
        }
        $pid = proc_get_status($process)['pid'];
        $file = base_path("var/run/$name-".config('nomada.port').'.pid');
        $this->running[$name] = [$process, $pid, $file];
        @file_put_contents($file, (string) $pid);
    }

    public function isRunning(string $name): bool
    {
        return isset($this->running[$name]) && proc_get_status($this->running[$name][0])['running'];
    }

    /** Asks every group to end, and ends what has not after some seconds. */
    public function stop(float $seconds = 8): void
    {
        foreach ($this->running as [, $pid]) {
            @posix_kill(-$pid, SIGTERM);
        }
        $until = microtime(true) + $seconds;
        foreach ($this->running as [$process, $pid, $file]) {
            while (proc_get_status($process)['running'] && microtime(true) < $until) {
                usleep(20_000);
            }
            @posix_kill(-$pid, SIGKILL);
            proc_close($process);
            @unlink($file);
        }
        $this->running = [];
    }

    /** Ends the groups that a killed supervisor left behind on this port. */
    public static function sweep(): void
    {
        foreach (glob(base_path('var/run/*-'.config('nomada.port').'.pid')) ?: [] as $file) {
            $pid = (int) file_get_contents($file);
            // Only a group whose first process, or one of whose workers, is still ours: numbers are used again.
            $line = (string) @file_get_contents("/proc/$pid/cmdline");
            if (
                $pid > 1 &&
                $pid !== posix_getpgrp() &&
                ($line === '' ||
                    str_contains($line, base_path()) ||
                    str_contains($line, 'artisan') ||
                    str_contains($line, '127.0.0.1:'))
            ) {
                @posix_kill(-$pid, SIGTERM);
            }
            @unlink($file);
        }
    }

    /** @return array{list<string>, array<string, string>} the stand-ins' command and environment */
    public static function standins(int $port): array
    {
        $db = (array) config('database.connections.pgsql');

        return [
            [PHP_BINARY, '-S', "127.0.0.1:$port", base_path('standins/server.php')],
            [
                'PHP_CLI_SERVER_WORKERS' => '4',
                'STANDINS_TOKEN' => (string) config('nomada.standins.token'),
                'STANDINS_SCHEMA' => (string) config('nomada.standins.schema'),
                'DB_HOST' => (string) $db['host'],
                'DB_PORT' => (string) $db['port'],
                'DB_DATABASE' => (string) $db['database'],
                'DB_USERNAME' => (string) $db['username'],
                'DB_PASSWORD' => (string) $db['password'],
            ],
        ];
    }

    public static function answers(int $port): bool
    {
        $socket = @fsockopen('127.0.0.1', $port, $code, $words, 0.3);
        if ($socket === false) {
            return false;
        }
        fclose($socket);

        return true;
    }

    public static function waitFor(int $port, float $seconds = 10): bool
    {
        $until = microtime(true) + $seconds;
        while (! self::answers($port)) {
            if (microtime(true) > $until) {
                return false;
            }
            usleep(20_000);
        }

        return true;
    }
}
