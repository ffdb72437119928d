<?php

declare(strict_types=1);

namespace Nomada\Core\Publishing;

use Nomada\Core\Language\Said;

/**
 * What staff read of a placement wherever it is named: by its key, which is its identity. Its label goes into its
 * fingerprint, so it stays as it is in every language; what it is read for here is a name that people have given.
 */
final readonly class ItemName
{
    public static function of(Place $place, string $key, string $label): Said
    {
        // In a calendar the key ends in an UID, which may be anything.
        $own = $place === Place::Calendar ? '' : substr((string) strrchr($key, '/'), 1);
        if ($own === 'pinned' || $own === 'opening') {
            return new Said("item.$own");
        }
        if (str_starts_with($own, 'drop-in-') && str_starts_with($label, CoursePagePlacements::ROOM)) {
            return new Said('item.room', ['room' => substr($label, strlen(CoursePagePlacements::ROOM))]);
        }

        return preg_match('/^(week|change)-(\d+)$/', $own, $m) === 1
            ? new Said("item.$m[1]", ['number' => $m[2]])
            : new Said('item.own', ['name' => $label]);
    }
}
