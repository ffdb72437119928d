<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

/** What is more open than it should be, and every change of doors, links and registrations, newest first. */
final readonly class AuditPage
{
    /**
     * @param  list<OpenDoor>  $open
     * @param  list<AuditLine>  $lines
     * @param  string  $kind  whose changes alone are shown; empty for all
     * @param  string  $search  what was searched for, or empty
     * @param  int  $count  changes altogether
     */
    public function __construct(
        public array $open,
        public array $lines,
        public string $kind,
        public string $search,
        public int $count,
        public int $page,
        public int $pages,
    ) {
    }

    /** @return array<string, int|string> what leads to another kind or page of the same search */
    public function with(?string $kind = null, ?int $page = null): array
    {
        return array_filter(['kind' => $kind ?? $this->kind, 'q' => $this->search, 'page' => $page]);
    }
}
