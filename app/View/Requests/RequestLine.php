<?php

declare(strict_types=1);

namespace Nomada\App\View\Requests;

use Nomada\App\Models\Timetable\RequestState;

/** One request of a teacher as it is listed. */
final readonly class RequestLine
{
    /**
     * @param  string  $at  when it was asked, on the school's clock
     * @param  string|null  $effect  what accepting would cost, or why it cannot be done any more; null once decided
     * @param  bool  $isPossible  whether it can still be done
     */
    public function __construct(
        public int $id,
        public string $section,
        public string $url,
        public string $by,
        public string $at,
        public string $what,
        public string $why,
        public RequestState $state,
        public string $answer,
        public ?string $effect,
        public bool $isPossible,
        public bool $isOwn,
    ) {
    }
}
