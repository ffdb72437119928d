<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Board;

use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Support\Say;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\SectionStatus;

/** How one section is at one destination, as the board shows it. */
final readonly class PlaceCell
{
    /** @param  'wrong'|'planned'|'changed'|'published'  $is */
    private function __construct(public string $title, public string $is, public int $stands)
    {
    }

    public static function of(Place $place, SectionStatus $status): self
    {
        $n = $status->places[$place->value] ?? PlanQuery::NONE;
        $stands = $n['leave'] + $n['change'] + $n['remove'];

        return new self(
            Say::this($place->said()),
            match (true) {
                $n['trouble'] > 0 => 'wrong',
                $stands === 0 => 'planned',
                $n['add'] + $n['change'] + $n['remove'] > 0 => 'changed',
                default => 'published',
            },
            $stands,
        );
    }
}
