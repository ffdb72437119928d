<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Actions\Registration\Remind;

final class RemindCommand extends Command
{
    protected $signature = 'nomada:remind';

    protected $description = 'Send reminders of upcoming sessions';

    public function handle(Remind $remind): int
    {
        $this->output->writeln(trans_choice('remind.console', $remind()));

        return self::SUCCESS;
    }
}
