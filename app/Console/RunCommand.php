<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Services;

/** The supervisor: web, stand-ins, queue workers and scheduler. What dies is started again; Ctrl-C ends all. */
final class RunCommand extends Command
{
    protected $signature = 'nomada:run';

    protected $description = 'Serve until Ctrl-C (called by bin/start)';

    /** What a page may use: an import folder of a large school comes in one upload. */
    private const LIMITS = [
        '-d',
        'upload_max_filesize=64M',
        '-d',
        'post_max_size=80M',
        '-d',
        'memory_limit=1G',
        '-d',
        'max_execution_time=180',
        '-d',
        'expose_php=0',
    ];

    private bool $goesOn = true;

    public function handle(): int
    {
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->goesOn = false;
            });
        }
        Services::sweep();
        $mine = base_path('var/run/supervisor-'.config('nomada.port').'.pid');
        file_put_contents($mine, (string) getmypid());
        $services = new Services();
        $commands = $this->processes();
        $begun = [];
        try {
            foreach ($commands as $name => [$command, $env]) {
                $services->start($name, $command, $env);
                $begun[$name] = [microtime(true), 0];
            }
            $port = (int) config('nomada.port');
            if (
                ! $services->waitForService('web', $port) ||
                ! $services->waitForService('standins', (int) config('nomada.standins.port'))
            ) {
                $this->components->error((string) __('console.run.not_up'));

                return self::FAILURE;
            }
            $this->greet($port);
            while ($this->goesOn) {
                usleep(200_000);
                foreach ($commands as $name => [$command, $env]) {
                    if (! $services->isRunning($name)) {
                        [$at, $deaths] = $begun[$name];
                        if (microtime(true) - $at > min(10, $deaths * 2)) {
                            $this->output->writeln((string) __('console.run.again', ['name' => $name]));
                            $services->start($name, $command, $env);
                            $begun[$name] = [microtime(true), microtime(true) - $at < 30 ? $deaths + 1 : 0];
                        }
                    }
                }
            }
        } finally {
            $services->stop();
            @unlink($mine);
        }
        $this->output->writeln((string) __('console.run.ended'));

        return self::SUCCESS;
    }

    /** @return array<string, array{list<string>, array<string, string>}> */
    private function processes(): array
    {
        $artisan = [PHP_BINARY, base_path('artisan')];
        $out = [
            'web' => [
                [
                    PHP_BINARY,
                    ...self::LIMITS,
                    '-S',
                    '127.0.0.1:'.config('nomada.port'),
                    '-t',
                    public_path(),
                    (string) config('nomada.router'),
                ],
                ['PHP_CLI_SERVER_WORKERS' => (string) config('nomada.web_workers')],
            ],
            'standins' => Services::standins((int) config('nomada.standins.port')),
            'scheduler' => [[...$artisan, 'schedule:work'], []],
        ];
        for ($n = 1; $n <= config('nomada.workers'); $n++) {
            $out["worker-$n"] = [
                [
                    ...$artisan,
                    'queue:work',
                    '--tries=0',
                    '--sleep=0.25',
                    '--timeout=30',
                    '--max-time=3600',
                    '--memory=256',
                ],
                [],
            ];
        }

        return $out;
    }

    private function greet(int $port): void
    {
        $this->output->writeln([
            '',
            '  '.__('console.run.nomada')."  http://127.0.0.1:$port",
            '  '.__('console.run.standins').'  http://127.0.0.1:'.config('nomada.standins.port'),
        ]);
        if (config('nomada.demo')) {
            $this->output->writeln(['', '  '.__('console.run.accounts').'  '.config('nomada.demo_password')]);
            foreach ((array) config('nomada.demo_accounts') as $role => $sourcedId) {
                $person = Person::query()->where('sourced_id', $sourcedId)->first();
                if ($person !== null) {
                    $this->output->writeln(sprintf('    %-12s %-34s %s', $role, $person->email, $person->name()));
                }
            }
        }
        $this->output->writeln(['', '  '.__('console.run.end'), '']);
    }
}
