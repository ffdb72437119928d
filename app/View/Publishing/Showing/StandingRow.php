<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing\Showing;

use Nomada\Core\Publishing\Place;

/** One thing that should be somewhere, with where and when it is shown, and for whom. */
final readonly class StandingRow
{
    /**
     * @param  string|null  $position  in words; null where the place decides
     * @param  string|null  $from  a moment (ISO 8601), null for always
     * @param  string|null  $till  a moment (ISO 8601), null for ever
     * @param  string|null  $readers  who may answer and for whom, in words
     */
    public function __construct(
        public Place $place,
        public string $title,
        public ?string $position,
        public ?string $from,
        public ?string $till,
        public ?string $readers,
    ) {
    }
}
