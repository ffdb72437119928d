<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Post\PostOffice;

final class PostCommand extends Command
{
    protected $signature = 'nomada:post {--idle=90 : seconds for which a letter has been due}';

    protected $description = 'Sends letters that are due and were left';

    public function handle(PostOffice $post): int
    {
        $this->output->writeln((string) __('console.letters', ['n' => $post->sendLeft((int) $this->option('idle'))]));

        return self::SUCCESS;
    }
}
