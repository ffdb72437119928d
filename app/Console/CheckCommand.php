<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\Log;
use Nomada\App\Actions\CheckDerived;

final class CheckCommand extends Command
{
    protected $signature = 'nomada:check {--json}';

    protected $description = 'Recompute derived data and report differences';

    public function handle(CheckDerived $check): int
    {
        $found = $check();
        if ($this->option('json')) {
            $this->line((string) json_encode(['differences' => $found], JSON_UNESCAPED_UNICODE));
        } elseif ($found === []) {
            $this->info((string) __('console.check.right'));
        } else {
            $this->table(['Kind', 'What'], array_map(array_values(...), $found));
        }
        if ($found !== []) {
            Log::error('nomada:check found differences', ['n' => count($found), 'first' => $found[0]]);
        }

        return $found === [] ? self::SUCCESS : self::FAILURE;
    }
}
