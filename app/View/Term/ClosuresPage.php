<?php

declare(strict_types=1);

namespace Nomada\App\View\Term;

use Nomada\Core\Interchange\ImportFault;

/** What closed days a calendar holds, before any of them is taken. */
final readonly class ClosuresPage
{
    /**
     * @param  string  $key  under which the file is kept; $name what it is called
     * @param  list<ClosureRow>  $rows
     * @param  list<ImportFault>  $faults
     */
    public function __construct(
        public string $key,
        public string $name,
        public array $rows,
        public array $faults,
    ) {
    }

    /** How many can be taken. */
    public function new(): int
    {
        return count(array_filter($this->rows, fn (ClosureRow $r): bool => $r->canBeTaken()));
    }
}
