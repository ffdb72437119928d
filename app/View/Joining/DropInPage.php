<?php

declare(strict_types=1);

namespace Nomada\App\View\Joining;

use Nomada\Core\Joining\Preset;

/** The drop-in rooms of the sections that somebody looks after. */
final readonly class DropInPage
{
    /**
     * @param  list<DropInRow>  $rooms
     * @param  array<string, string>  $sections  names by sourcedId
     * @param  array<string, Preset>  $presets  by key
     * @param  string  $uid  of the room that is made next, so that sending the form twice makes one
     */
    public function __construct(
        public array $rooms,
        public array $sections,
        public array $presets,
        public string $uid,
    ) {
    }
}
