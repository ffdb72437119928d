<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Account;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/**
 * Writes to anybody who has asked for a new password, if the school knows them: behind the answer, which is one for
 * all.
 */
final class WriteReset implements ShouldQueue
{
    use Dispatchable;
    use Queueable;

    public function __construct(private readonly string $typed)
    {
    }

    public function handle(InvitePeople $invite): void
    {
        $invite->reset($this->typed);
    }
}
