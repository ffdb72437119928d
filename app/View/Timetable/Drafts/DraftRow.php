<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Drafts;

/** A series in one draft, or in two. */
final readonly class DraftRow
{
    /**
     * @param  int  $series  id
     * @param  string  $now  its time in the term of which the drafts are made
     * @param  list<string>  $then  its time in each draft
     * @param  bool  $differs  whether it is elsewhere than now, or the drafts differ
     */
    public function __construct(
        public int $series,
        public string $name,
        public string $now,
        public array $then,
        public bool $differs,
        public bool $isPinned,
    ) {
    }
}
