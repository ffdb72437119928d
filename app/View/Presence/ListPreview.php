<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence;

use Nomada\App\Actions\Presence\ListLook;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Zone;

/** What a list would add, and what is still to be said of it. */
final readonly class ListPreview
{
    /**
     * @param  list<string>  $heads
     * @param  array<string, string>  $columns  heads by what they are
     * @param  string|null  $wrong  what is missing of the columns
     * @param  array<string, string>  $people  names by sourcedId, of whom it may be about
     */
    public function __construct(
        public Section $section,
        public string $key,
        public string $name,
        public LocalDate $day,
        public Zone $zone,
        public array $heads,
        public array $columns,
        public ?string $wrong,
        public ?ListLook $look,
        public array $people,
    ) {
    }

    /** @return array<string, string> the chosen columns as they are in the address */
    public function query(): array
    {
        $out = [];
        foreach ($this->columns as $role => $head) {
            $out["as_$role"] = $head;
        }

        return $out;
    }
}
