<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use JsonSerializable;

/**
 * One thing that an import does, before it is done. What is dangerous is asked for on its own: it is done only where
 * its code is among those that somebody is sure of.
 */
final readonly class ImportLine implements JsonSerializable
{
    /**
     * @param  string  $kind  what it is of: people, role, address, enrolments, sections, series, closures, …
     * @param  string  $verb  `add`, `change`, `remove`, or `stays` for what the import leaves as it was made by hand
     * @param  string  $of  whose: a name, a section, a date
     * @param  string  $code  names it among the dangerous ones; empty where it is none
     */
    public function __construct(
        public string $kind,
        public string $verb,
        public string $of,
        public string $before = '',
        public string $after = '',
        public string $code = '',
    ) {
    }

    public function isDangerous(): bool
    {
        return $this->code !== '';
    }

    /** @return array<string, string> */
    public function jsonSerialize(): array
    {
        return array_filter(get_object_vars($this), fn (string $v): bool => $v !== '');
    }
}
