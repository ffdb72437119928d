<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\Core\Joining\Preset;

/** One drop-in room. */
final readonly class DropInRow
{
    /**
     * @param  string  $sectionId  the section's sourcedId
     * @param  string  $hours  as they are typed
     * @param  string  $next  when it opens next; empty where no hours are left in the term
     * @param  string|null  $openUntil  a clock time; null where it is shut now
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $section,
        public string $sectionId,
        public string $hours,
        public string $next,
        public ?string $openUntil,
        public bool $isHidden,
        public Preset $preset,
        public string $link,
        public string $code,
        public string $dialIn,
        public string $pin,
    ) {
    }
}
