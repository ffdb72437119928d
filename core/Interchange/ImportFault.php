<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use Nomada\Core\Fault;

/**
 * One thing wrong with what is read: where it is, what was expected there and what was found.
 * A warning does not keep anything from being saved; a fault does.
 */
final readonly class ImportFault
{
    public Fault $expected;

    /** @param  Fault|string  $expected  a code alone where nothing is put into its words */
    public function __construct(
        public string $file,
        public int $line,
        public string $column,
        Fault|string $expected,
        public string $found = '',
        public bool $warning = false,
    ) {
        $this->expected = is_string($expected) ? new Fault($expected) : $expected;
    }
}
