<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;

/** One row under its header: values by column name, and where it is. */
final readonly class CsvRow
{
    /** @param  array<string, string>  $values */
    public function __construct(public string $file, public int $line, public array $values)
    {
    }

    public function get(string $column): string
    {
        return $this->values[$column] ?? '';
    }

    public function fault(string $column, Fault|string $expected, bool $warning = false): ImportFault
    {
        return new ImportFault($this->file, $this->line, $column, $expected, $this->get($column), $warning);
    }
}
