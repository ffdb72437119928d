<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Publishing\Drifts;
use Nomada\Core\Publishing\Place;

final class DriftCommand extends Sections
{
    protected $signature = 'nomada:drift {--section=* : sourcedId; all where none is given} {--json}';

    protected $description = 'Reads the destinations back, and says what somebody else has changed or deleted there';

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
