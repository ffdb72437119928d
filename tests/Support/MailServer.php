<?php

declare(strict_types=1);

namespace Tests\Support;

use Nomada\App\Support\Services;
use RuntimeException;

/** A mail server that others wrote (Debian's python3-aiosmtpd), as a real process that keeps a maildir. */
final class MailServer
{
    /** @var array<string, self> by the handler */
    private static array $shared = [];

    private Services $services;

    private function __construct(public readonly int $port, public readonly string $folder)
    {
        $this->services = new Services();
    }

    public static function shared(): self
    {
        return self::with('aiosmtpd.handlers.Mailbox', 'maildir');
    }

    /** One that takes two seconds to answer the end of a message (slow_mail.py). */
    public static function slow(): self
    {
        return self::with('slow_mail.Slow', 'slow-maildir');
    }

    private static function with(string $handler, string $name): self
    {
        if (! isset(self::$shared[$handler])) {
            $self = new self(StandinServer::freePort(), sys_get_temp_dir()."/nomada-$name-".getmypid());
            self::$shared[$handler] = $self;
            $self->services->start(
                "mail-$self->port",
                [
                    '/usr/bin/python3',
                    '-m',
                    'aiosmtpd',
                    '-n',
                    '-l',
                    "127.0.0.1:$self->port",
                    '-c',
                    $handler,
                    $self->folder,
                ],
                ['PYTHONPATH' => __DIR__, 'SECONDS' => '2'],
            );
            $self->services->waitForService("mail-$self->port", $self->port) ||
                throw new RuntimeException('The mail server did not come up');
            register_shutdown_function(fn () => $self->end());
        }

        return self::$shared[$handler];
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
