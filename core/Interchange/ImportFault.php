<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use JsonSerializable;

/**
 * One thing wrong with what is read: where it stands, what was expected there and what was found.
 * A warning does not keep anything from being saved; a fault does.
 */
final readonly class ImportFault implements JsonSerializable
{
    public function __construct(
        public string $file,
        public int $line,
        public string $column,
        public string $expected,
        public string $found = '',
        public bool $warning = false,
    ) {
    }

    public function sentence(): string
    {
        $where =
            $this->file.
            ($this->line > 0 ? ", line $this->line" : '').
            ($this->column === '' ? '' : ", column $this->column");

        return "$where: $this->expected".($this->found === '' ? '' : " Found \"$this->found\".");
    }

    /** @return array{file: string, line: int, column: string, expected: string, found: string} */
    public function jsonSerialize(): array
    {
        return [
            'file' => $this->file,
            'line' => $this->line,
            'column' => $this->column,
            'expected' => $this->expected,
            'found' => $this->found,
        ];
    }
}
