<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Account\InvitePeople;
use Nomada\App\Actions\Account\SecondFactor;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\School;
use Nomada\Core\Belonging\Role;

/** The first coordinator of a new school, or one who has lost everything: makes them, and prints the link. */
final class CoordinatorCommand extends Command
{
    protected $signature =
        'nomada:coordinator {address} {--given= : given name} {--family= : family name} '.
        '{--zone= : time zone, where no school is loaded yet} {--lost : takes a lost second factor away}';

    protected $description = 'Create a coordinator and print a password link';

    public function handle(InvitePeople $invite, SecondFactor $factor): int
    {
        $address = trim((string) $this->argument('address'));
        if (filter_var($address, FILTER_VALIDATE_EMAIL) === false) {
            $this->components->error((string) __('console.coordinator.address', ['address' => $address]));

            return self::FAILURE;
        }
        $known = Person::query()
            ->whereRaw('lower(email) = ?', [mb_strtolower($address)])
            ->get();
        if ($known->count() > 1) {
            $this->components->error(
                (string) __('console.coordinator.shared', ['address' => $address]),
            );

            return self::FAILURE;
        }
        $person = DB::transaction(function () use ($known, $address): Person {
            $person = $known->first() ?? $this->fresh($address);
            if (! $person->isCoordinator()) {
                $person->update(['role' => Role::Coordinator]);
            }
            if ($person->disabled_on !== null) {
                $person->update(['disabled_on' => null]);
            }

            return $person;
        });
        if ($this->option('lost')) {
            $factor->drop($person);
        }
        $pass = $invite->one($person->refresh(), null);
        $this->output->writeln([
            '',
            "  {$person->name()} is a coordinator, and sets a password here, once, within ".
            InvitePeople::HOURS.
            ' hours:',
            '  '.$pass->address(),
            '',
        ]);

        return self::SUCCESS;
    }

    private function fresh(string $address): Person
    {
        [$name] = explode('@', $address);
        $zone = (string) ($this->option('zone') ?: School::query()->orderBy('id')->value('time_zone') ?? 'UTC');

        return Person::query()->create([
            'sourced_id' => 'here-'.substr(hash('sha256', mb_strtolower($address)), 0, 12),
            'role' => Role::Coordinator,
            'given_name' => (string) ($this->option('given') ?: ucfirst($name)),
            'family_name' => (string) ($this->option('family') ?: ''),
            'email' => $address,
            'time_zone' => $zone,
            'password' => bin2hex(random_bytes(20)),
        ]);
    }
}
