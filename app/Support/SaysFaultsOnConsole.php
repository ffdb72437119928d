<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Foundation\Exceptions\Handler;
use Nomada\Core\Fault;
use Symfony\Component\Console\Formatter\OutputFormatter;
use Throwable;

/** What goes wrong at the console: a fault of what was typed is said in words, and no trace of the program with it. */
final class SaysFaultsOnConsole extends Handler
{
    public function renderForConsole($output, Throwable $e): void
    {
        if ($e instanceof Fault) {
            $output->writeln('<error>'.OutputFormatter::escape(FaultWords::of($e)).'</error>');

            return;
        }
        parent::renderForConsole($output, $e);
    }
}
