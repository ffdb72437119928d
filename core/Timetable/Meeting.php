<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * A series as the search for clashes sees it: whose section, who comes, and when it meets. Sessions are the planned
 * ones, ascending;
 * `earliest` and `latest` bound the wall clock (minutes from midnight) of all of them, so that most pairs are told
 * apart at a glance.
 *
 * Who comes is a roster by its key: the section's own, or one made for the purpose where several sections share the
 * series or another teacher takes some of its sessions (such sessions are a Meeting of their own).
 */
final readonly class Meeting
{
    public int $roster;

    /**
     * @param  list<array{int, int, int}>  $sessions  day number, UTC start, UTC end
     * @param  int|null  $account  the host account that it runs on
     * @param  string|null  $room  the bridge's room behind its join link
     * @param  bool  $isWhole  false for sessions that another teacher takes, or that are for chosen students
     */
    public function __construct(
        public int $series,
        public int $section,
        public array $sessions,
        public int $earliest,
        public int $latest,
        ?int $roster = null,
        public ?int $account = null,
        public ?string $room = null,
        public bool $isWhole = true,
    ) {
        $this->roster = $roster ?? $section;
    }
}
