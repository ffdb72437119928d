<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Support\FaultWords;
use Nomada\Core\Interchange\ImportFault;

/** What the commands share that read a file and keep all of it or nothing. They have the option --json. */
trait SaysFaults
{
    /**
     * Says why nothing was kept: the faults of a file, or a sentence.
     *
     * @param  list<ImportFault>  $faults
     */
    private function fails(array $faults, ?string $words): int
    {
        if ($this->option('json')) {
            $this->asJson([
                'faults' => $faults === [] ? [['expected' => $words]] : array_map(FaultWords::plain(...), $faults),
            ]);
        } else {
            $this->components->error($words ?? (string) __('console.nothing_kept'));
            foreach ($faults as $fault) {
                $this->line(FaultWords::line($fault));
            }
        }

        return self::FAILURE;
    }
}
