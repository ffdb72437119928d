<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Actions\Publishing\StartRun;

final class TakeUpCommand extends Command
{
    protected $signature = 'nomada:resume {--idle=300 : seconds for which a run has not moved}';

    /** @var list<string> the name until version 0.1.0 */
    protected $aliases = ['nomada:take-up'];

    protected $description = 'Resume interrupted publishing jobs and start scheduled ones';

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
