<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Actions\Publishing\StartRun;

final class TakeUpCommand extends Command
{
    protected $signature = 'nomada:take-up {--idle=300 : seconds for which a run has not moved}';

    protected $description = 'Takes up runs that were left behind, and begins those whose time has come';

    public function handle(StartRun $start): int
    {
        $begun = $start->due();
        $this->output->writeln((string) __('console.taken_up', [
            'lanes' => $start->takeUp((int) $this->option('idle')),
            'runs' => $begun,
        ]));

        return self::SUCCESS;
    }
}
