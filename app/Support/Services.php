<?php

declare(strict_types=1);

namespace Nomada\App\Support;

/**
 * Long-running processes of ours, each in a process group of its own. `php -S` leaves its workers on the port when only
 * its first process ends, so the whole group is ended: by us, by the keeper that leads it when its process ends or we
 * do (build/keeper.sh), and by the next start when everything was killed at once.
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
            ['setsid', 'setpriv', '--pdeathsig', 'TERM', 'bash', base_path('build/keeper.sh'), ...$command],
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

    /** False once its process has ended; whatever is left of its group is ended then. */
    public function isRunning(string $name): bool
    {
        if (! isset($this->running[$name])) {
            return false;
        }
        [$process, $pid] = $this->running[$name];
        $isRunning = proc_get_status($process)['running'];
        if (! $isRunning) {
            @posix_kill(-$pid, SIGKILL);
        }

        return $isRunning;
    }

    /** Waits until a service answers, for as long as it runs. False where it has ended without. */
    public function waitForService(string $name, int $port): bool
    {
        while (! self::answers($port)) {
            if (! $this->isRunning($name)) {
                return false;
            }
            usleep(20_000);
        }

        return true;
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
            if (str_starts_with(basename($file), 'supervisor-')) {
                continue;
            }
            $group = (int) file_get_contents($file);
            if ($group > 1 && $group !== posix_getpgrp() && self::isOurs($group)) {
                @posix_kill(-$group, SIGKILL);
            }
            @unlink($file);
        }
    }

    /** Whether some process of a group works in this folder: numbers are used again, and folders are copied. */
    private static function isOurs(int $group): bool
    {
        foreach (glob('/proc/[0-9]*/stat') ?: [] as $stat) {
            $fields = explode(' ', substr((string) strrchr((string) @file_get_contents($stat), ')'), 2));
            if ((int) ($fields[2] ?? 0) === $group && @readlink(dirname($stat).'/cwd') === base_path()) {
                return true;
            }
        }

        return false;
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
                'STANDINS_DATABASE' => DemoServicesDatabase::name(),
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
}
