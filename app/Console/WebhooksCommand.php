<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Actions\Publishing\Webhooks;

final class WebhooksCommand extends Command
{
    protected $signature = 'nomada:webhooks {--json}';

    protected $description = 'Send queued webhook messages';

    public function handle(Webhooks $webhooks): int
    {
        $sent = $webhooks->send();
        $this->line(
            $this->option('json') ? (string) json_encode($sent) : (string) __('places.webhooks.console', $sent),
        );

        return self::SUCCESS;
    }
}
