<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Actions\RenewDerived;

final class RenewCommand extends Command
{
    protected $signature = 'nomada:renew';

    protected $description = 'Recompute derived data after an upgrade, if its rules have changed';

    public function handle(RenewDerived $renew): int
    {
        $n = $renew();
        if ($n > 0) {
            $this->info(trans_choice('console.renewed', $n));
        }

        return self::SUCCESS;
    }
}
