<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Language\Said;

/** A series whose door or floor is more open than its preset. */
final readonly class OpenDoor
{
    /**
     * @param  array<string, Said>  $more  in what
     * @param  string|null  $acceptedBy  null where nobody answers for it yet
     */
    public function __construct(
        public Series $series,
        public Said|string $preset,
        public array $more,
        public ?string $acceptedBy,
    ) {
    }
}
