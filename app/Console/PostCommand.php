<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Post\PostOffice;

final class PostCommand extends Command
{
    protected $signature = 'nomada:post {--idle=90 : seconds for which a letter has been due}';

    protected $description = 'Send queued emails that are due';

    public function handle(PostOffice $post): int
    {
        $n = $post->sendLeft((int) $this->option('idle'));
        $this->output->writeln(trans_choice('console.letters', $n, ['n' => $n]));

        return self::SUCCESS;
    }
}
