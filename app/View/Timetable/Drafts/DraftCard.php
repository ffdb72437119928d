<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Drafts;

/** One draft and what it comes to. */
final readonly class DraftCard
{
    /**
     * @param  string  $about  which term it is for, and of which it is made
     * @param  string  $state  in words
     * @param  list<array{words: string, n: int, tone: string}>  $sums
     */
    public function __construct(
        public int $id,
        public string $title,
        public string $about,
        public string $state,
        public bool $isLooking,
        public bool $mayTake,
        public array $sums,
    ) {
    }
}
