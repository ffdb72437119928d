<?php

declare(strict_types=1);

namespace Nomada\App\Post;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/** Sends one letter of the outbox. The scheduler sends again what a killed worker has left. */
final class SendLetter implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 4;

    /** @var list<int> seconds */
    public array $backoff = [5, 30, 120];

    /** Seconds; a mail server may take ten minutes to answer (RFC 5321, 4.5.3.2.6). */
    public int $timeout = 1200;

    public function __construct(public readonly int $letter)
    {
    }

    public function handle(PostOffice $post): void
    {
        $post->send($this->letter);
    }
}
