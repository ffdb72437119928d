<?php

declare(strict_types=1);

namespace Nomada\App\Console;

/** Tables of commands: what is there above their columns, in the console's language. */
trait HasTables
{
    /**
     * @param  list<string>  $of  codes of columns, in their order
     * @param  array<mixed>  $rows
     */
    protected function drawTable(array $of, array $rows): void
    {
        $this->table(array_map(fn (string $code): string => (string) __("console.columns.$code"), $of), $rows);
    }

    protected function yesOrNo(bool $is): string
    {
        return (string) __($is ? 'console.yes' : 'console.no');
    }
}
