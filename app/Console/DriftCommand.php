<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Publishing\Drifts;
use Nomada\Core\Publishing\Place;

final class DriftCommand extends Sections
{
    protected $signature = 'nomada:outside-changes {--section=* : sourcedId; all where none is given} {--json}';

    /** @var list<string> the name until version 0.1.0 */
    protected $aliases = ['nomada:drift'];

    protected $description = 'List changes made at the destinations outside Nomada';

    public function handle(Drifts $drifts): int
    {
        $sections = $this->sections();
        if ($sections === null) {
            return self::FAILURE;
        }
        $came = $drifts->look(array_values($sections->modelKeys()), Place::cases());
        if ($this->option('json')) {
            $this->asJson($came);
        } else {
            $this->output->writeln(
                (string) __('publishing.drift.console', ['looked' => $came['looked'], 'found' => $came['found']]),
            );
            foreach ($came['silent'] as $space => $words) {
                $this->output->writeln("  $space: $words");
            }
        }

        return $came['silent'] === [] ? self::SUCCESS : self::FAILURE;
    }
}
