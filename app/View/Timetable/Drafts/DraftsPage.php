<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Drafts;

/** The drafts of a next timetable, and two of them side by side. */
final readonly class DraftsPage
{
    /**
     * @param  array<int, string>  $terms  for which one can be made, by id
     * @param  list<DraftCard>  $drafts  the last first
     * @param  list<DraftCard>  $shown  one, or two side by side
     * @param  list<DraftRow>  $rows  a series each
     */
    public function __construct(
        public string $term,
        public array $terms,
        public array $drafts,
        public array $shown,
        public array $rows,
    ) {
    }

    public function isLooking(): bool
    {
        foreach ($this->drafts as $draft) {
            if ($draft->isLooking) {
                return true;
            }
        }

        return false;
    }
}
