<?php

declare(strict_types=1);

namespace Tests\Support;

use Nomada\App\Support\Services;
use RuntimeException;

/** A mail server that others wrote (Debian's python3-aiosmtpd), as a real process that keeps a maildir. */
final class MailServer
{
    private static ?self $shared = null;

    private Services $services;

    private function __construct(public readonly int $port, public readonly string $folder)
    {
        $this->services = new Services();
    }

    public static function shared(): self
    {
        if (self::$shared === null) {
            $folder = sys_get_temp_dir().'/nomada-maildir-'.getmypid();
            self::$shared = new self(StandinServer::freePort(), $folder);
            self::$shared->services->start('mail-'.self::$shared->port, [
                '/usr/bin/python3',
                '-m',
                'aiosmtpd',
                '-n',
                '-l',
                '127.0.0.1:'.self::$shared->port,
                '-c',
                'aiosmtpd.handlers.Mailbox',
                $folder,
            ]);
            self::$shared->services->waitForService('mail-'.self::$shared->port, self::$shared->port) ||
                throw new RuntimeException('The mail server did not come up');
            register_shutdown_function(fn () => self::$shared?->end());
        }

        return self::$shared;
    }

    public function url(): string
    {
        return "smtp://127.0.0.1:$this->port";
    }

    /** @return list<string> letters as they came */
    public function letters(): array
    {
        return array_map(
            fn (string $f): string => (string) file_get_contents($f),
            glob("$this->folder/new/*") ?: [],
        );
    }

    public function empty(): void
    {
        array_map(unlink(...), glob("$this->folder/new/*") ?: []);
    }

    private function end(): void
    {
        $this->services->stop(2);
        exec('rm -rf '.escapeshellarg($this->folder));
    }
}
