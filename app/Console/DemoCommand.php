<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Nomada\App\Actions\Publishing\CarryOutRun;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Actions\Registration\RegisterRoster;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Services;

/** Loads the demo school by the ordinary import, gives its invented people their password, and brings most sections as far as they are in the story. */
final class DemoCommand extends Command
{
    protected $signature = 'nomada:demo {--if-empty : only where no school is loaded} {--fresh : leave links, registrations and publishing still to be done}';

    protected $description = 'Loads the demo school';

    /** In the story these are not through: no link yet, not registered, not published. The last has no series either. */
    private const UNLINKED = ['8MUS', '9MUS', '10STA'];

    private const UNREGISTERED = ['9MAT-B', '8MUS', '9MUS', '10STA'];

    private const UNPUBLISHED = ['9MAT-B', '10CHE', '10CIV', '8MUS', '9MUS', '10STA'];

    public function handle(StartRun $start, CarryOutRun $carryOut, RegisterRoster $register): int
    {
        if (! config('nomada.demo')) {
            if (! $this->option('if-empty')) {
                $this->components->error('This is not a demo. Set NOMADA_DEMO=true in .env to make it one.');
            }

            return $this->option('if-empty') ? self::SUCCESS : self::FAILURE;
        }
        if ($this->option('if-empty') && DB::table('schools')->exists()) {
            return self::SUCCESS;
        }
        $this->output->writeln('Loading the demo school (only on the first start)');
        if ($this->call('nomada:import', ['path' => database_path('demo/marisma'), '--quiet' => true]) !== 0) {
            $this->components->error('The demo school has faults: php artisan nomada:import database/demo/marisma');

            return self::FAILURE;
        }
        DB::table('people')->update(['password' => Hash::make((string) config('nomada.demo_password'))]);
        if (! $this->option('fresh')) {
            $services = new Services;
            $port = (int) config('nomada.standins.port');
            $ours = ! Services::answers($port);
            try {
                if ($ours) {
                    $services->start('standins', ...Services::standins($port));
                    Services::waitFor($port);
                }
                $this->bringForward($start, $carryOut, $register);
            } finally {
                $services->stop();
            }
        }

        return self::SUCCESS;
    }

    private function bringForward(StartRun $start, CarryOutRun $carryOut, RegisterRoster $register): void
    {
        $sections = Section::query()->with(['term.school', 'term.closures', 'series'])->get();
        $links = $start->links(array_values($sections->whereNotIn('sourced_id', self::UNLINKED)->modelKeys()), null, false);
        if ($links !== null) {
            $carryOut($links);
        }
        $sections->whereNotIn('sourced_id', self::UNREGISTERED)->each(fn (Section $s) => $register($s));
        $publish = $start->publish(array_values($sections->whereNotIn('sourced_id', self::UNPUBLISHED)->modelKeys()), null, false);
        if ($publish !== null) {
            $carryOut($publish);
        }
    }
}
