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
     * @param  string  $verb  `add`, `change`, `remove`, `stays` for what the import leaves as it was made by hand, or
     *   `outside` and `hours` for closed days that are not taken: in no term, or of some hours only
     * @param  string  $of  whose: a name, a section, a date
     * @param  string  $code  names it among the dangerous ones; empty if it is none
     * @param  int  $sessions  how many sessions it costs, or brings back
     */
    public function __construct(
        public string $kind,
        public string $verb,
        public string $of,
        public string $before = '',
        public string $after = '',
        public string $code = '',
        public int $sessions = 0,
    ) {
    }

    public function isDangerous(): bool
    {
        return $this->code !== '';
    }

    /** @return array<string, string|int> */
    public function jsonSerialize(): array
    {
        return array_filter(get_object_vars($this), fn (string|int $v): bool => $v !== '' && $v !== 0);
    }
}
