<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Clashes;

use Nomada\Core\Timetable\Clash;

/** One folded clash as it is listed. */
final readonly class ClashRow
{
    /**
     * @param  array<string, string>  $sections  names by sourcedId, one or two
     * @param  'hard'|'soft'|'advice'  $gravity
     * @param  list<int>  $series  of each section
     * @param  int  $people  teachers or students; $days how many days it is on, $dates which, folded
     * @param  string|null  $reason  why it was accepted, and $by whom
     * @param  string|null  $firstDay  ISO, the first that is to come
     */
    public function __construct(
        public string $key,
        public string $kind,
        public string $gravity,
        public array $sections,
        public array $series,
        public int $people,
        public int $days,
        public string $dates,
        public ?string $reason,
        public ?string $by,
        public ?string $firstDay = null,
        public ?ClashBars $bars = null,
    ) {
    }

    /** Whether other times are worth looking for: somebody is in two places, and nobody has accepted it. */
    public function asksForTimes(): bool
    {
        return $this->gravity !== 'advice' && $this->reason === null && ! $this->isOfAccounts();
    }

    /** @return 'bad'|'todo'|'quiet' */
    public function tone(): string
    {
        return ['hard' => 'bad', 'soft' => 'todo', 'advice' => 'quiet'][$this->gravity];
    }

    /** Whether one of its sessions could be moved alone. */
    public function canMoveOne(): bool
    {
        return $this->firstDay !== null && ! in_array($this->kind, Clash::OF_ALL_SESSIONS, true);
    }

    public function isOfAccounts(): bool
    {
        return in_array($this->kind, Clash::OF_ACCOUNTS, true);
    }
}
