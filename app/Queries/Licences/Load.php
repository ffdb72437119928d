<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Licences;

use Nomada\Core\Timetable\Assignment;
use Nomada\Core\Timetable\HostAccount;

/**
 * How many sessions run at once, over the week and at the most; the accounts that suffice; which series runs on
 * which; what other numbers would mean.
 */
final readonly class Load
{
    /**
     * @param  int  $peak  sessions at once, at the most; $times as often in the term
     * @param  string  $peakAt  when first, or empty
     * @param  int  $capacity  sessions that the accounts bear at once
     * @param  array<string, int>  $fewest  accounts of each plan that suffice; under an empty name where none is known
     * @param  list<HostAccount>  $accounts
     * @param  array<int, int>  $standing  series on each account; under 0 those on none
     * @param  array<int, string>  $names  of series, by id
     * @param  array<string, int>  $needs  how many accounts must be at least as large as each plan
     * @param  list<WhatIfRow>  $whatIf
     * @param  list<BeyondRow>  $beyond
     */
    public function __construct(
        public int $series,
        public int $peak,
        public int $times,
        public string $peakAt,
        public int $capacity,
        public array $fewest,
        public LoadCurve $curve,
        public array $accounts,
        public Assignment $assignment,
        public array $standing,
        public array $names,
        public array $needs,
        public array $whatIf,
        public array $beyond,
    ) {
    }

    /** Series that are on no account. */
    public function unassigned(): int
    {
        return $this->standing[0] ?? 0;
    }

    /** Whether putting series on accounts would change anything. */
    public function canAssign(): bool
    {
        return $this->unassigned() > 0 || $this->assignment->changed > 0;
    }

    /** @return 'left'|'unassigned'|'changed'|'right' what is to be said of the assignment, the gravest first */
    public function verdict(): string
    {
        return match (true) {
            $this->assignment->leftOver() > 0 => 'left',
            $this->unassigned() > 0 => 'unassigned',
            $this->assignment->changed > 0 => 'changed',
            default => 'right',
        };
    }

    /** @return list<string> names of series some of whose sessions find no account */
    public function left(): array
    {
        return array_map(fn (int $id): string => $this->names[$id], array_keys($this->assignment->left));
    }

    /** "Large 1, Small 2", where there is more than one plan. */
    public function which(): string
    {
        return count($this->fewest) < 2
            ? ''
            : implode(
                ', ',
                array_map(fn (string $plan, int $n): string => "$plan $n", array_keys($this->fewest), $this->fewest),
            );
    }
}
