<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Support\InventedSchool;

final class MakeSchoolCommand extends Command
{
    protected $signature =
        'nomada:make-school {--sections=600} {--students=9000} {--seed=7} {--to= : the folder; '.
        'storage/app/large by default}';

    protected $description = 'Write the import folder of a large invented school (same seed, same school)';

    public function handle(): int
    {
        [$sections, $students] = [(int) $this->option('sections'), (int) $this->option('students')];
        if ($sections < 1 || $sections > 5000 || $students < 0 || $students > 100000) {
            $this->components->error((string) __('console.large'));

            return self::FAILURE;
        }
        $folder = (string) ($this->option('to') ?: storage_path('app/large'));
        $counts = InventedSchool::write($folder, $sections, $students, (int) $this->option('seed'));
        $this->output->writeln(
            "$folder: ".
                implode(
                    ', ',
                    array_map(fn (string $kind, int $n): string => "$n $kind", array_keys($counts), $counts),
                ),
        );

        return self::SUCCESS;
    }
}
