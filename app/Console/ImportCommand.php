<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Actions\Term\ImportSchool;
use Nomada\App\Models\Term\School;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\ImportFiles;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\SchoolReader;

final class ImportCommand extends Command
{
    protected $signature =
        'nomada:import {path : a folder or a zip} {--take-good : take the good rows, and list the '.
        'rest} {--take-removals : remove what the files no longer have, even where more than a tenth goes} {--zone= : '
            .'the time zone of the school, where orgs.csv does not say it} {--look : say what it would '.
        'do, and '.
        'do nothing} {--json}';

    protected $description = 'Import a school: OneRoster 1.1 CSV, closures.ics, timetable.csv. Errors save nothing, '
        .'unless --take-good.';

    public function handle(ImportSchool $import): int
    {
        try {
            $files = ImportFiles::from((string) $this->argument('path'));
        } catch (Fault $e) {
            return $this->say(
                [
                    'saved' => false,
                    'faults' => [
                        [
                            'file' => (string) $this->argument('path'),
                            'line' => 0,
                            'column' => '',
                            'code' => $e->says,
                            'expected' => FaultWords::of($e),
                            'found' => '',
                        ],
                    ],
                    'warnings' => [],
                ],
                [FaultWords::of($e)],
                2,
            );
        }
        $zone = (string) ($this->option('zone') ?? School::query()->orderBy('id')->value('time_zone'));
        $data = SchoolReader::read($files, $zone);
        if ($this->option('look')) {
            $this->output->writeln(
                (string) json_encode($import->look($data), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE),
            );

            return $data->faults === [] ? 0 : 2;
        }
        $saves = $data->faults === [] || ($this->option('take-good') && $data->school !== null);
        $done = $saves ? $import($data, takesRemovals: (bool) $this->option('take-removals')) : [];

        return $this->say(
            [
                'saved' => $saves,
                'read' => $data->counts(),
                'done' => $done,
                'faults' => array_map(FaultWords::plain(...), $data->faults),
                'followed' => $data->followed,
                'warnings' => array_map(FaultWords::plain(...), $data->warnings),
            ],
            [
                ...array_map(FaultWords::line(...), $data->faults),
                ...array_map(fn (ImportFault $f): string => (string) __('console.import.warning', [
                    'what' => FaultWords::line($f),
                ]), $data->warnings),
                ...array_map(
                    fn (
                        string $kind,
                        array $n,
                    ): string => (string) __('console.import.counts', ['kind' => __("import.kinds.$kind")] + $n),
                    array_keys($done),
                    $done,
                ),
                ...array_map(
                    fn (string $kind, array $n): string => (string) __('console.import.held', [
                        'kind' => __("import.kinds.$kind"),
                        'held' => $n['held'] ?? 0,
                    ]),
                    array_keys($held = array_filter($done, fn (array $n): bool => isset($n['held']))),
                    $held,
                ),
                $saves
                    ? (string) __('console.import.saved')
                    : trans_choice('console.import.faults', count($data->faults)),
            ],
            $saves ? 0 : 2,
        );
    }

    /**
     * @param  array<string, mixed>  $json
     * @param  list<string>  $lines
     */
    private function say(array $json, array $lines, int $code): int
    {
        if ($this->option('json')) {
            $this->output->writeln(
                (string) json_encode($json, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            );
        } else {
            array_map(
                $this->output->writeln(...),
                array_map(\Symfony\Component\Console\Formatter\OutputFormatter::escape(...), $lines),
            );
        }

        return $code;
    }
}
