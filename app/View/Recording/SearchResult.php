<?php

declare(strict_types=1);

namespace Nomada\App\View\Recording;

use Nomada\App\Models\Term\Section;

/** What a search in transcripts has found. */
final readonly class SearchResult
{
    /** @param  list<SearchHit>  $hits  of the last sessions first */
    public function __construct(
        public Section $section,
        public string $words,
        public array $hits,
        public bool $isMore,
    ) {
    }
}
