<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Licences;

/** A series that is too long or too full for the account that it is on, or for all of them. */
final readonly class BeyondRow
{
    /**
     * @param  string  $section  its section's sourcedId
     * @param  int  $minutes  of its longest session; $most are allowed
     * @param  string|null  $account  on which it is
     * @param  array<int, string>  $fits  names by id of the accounts that hold it
     */
    public function __construct(
        public int $series,
        public string $name,
        public string $section,
        public int $minutes,
        public int $people,
        public ?string $account,
        public bool $isLong,
        public bool $isFull,
        public int $most,
        public array $fits,
    ) {
    }

    /** Into how many parts it has to be split. */
    public function parts(): int
    {
        return (int) ceil($this->minutes / $this->most);
    }
}
