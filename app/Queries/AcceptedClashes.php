<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

/** How clashes are joined with what coordinators have accepted of them. */
final class AcceptedClashes
{
    /** What a clash is between, whatever days it is found on. */
    public const KEY = "kind || ' ' || clashes.series_id || coalesce(' ' || clashes.other_series_id, '')";

    /** Joined as `k`: an acceptance holds for whom and for which days it was given, and for no more. */
    public const ACCEPTED = 'k.key = '.self::KEY.' and clashes.people <@ k.people and clashes.days <@ k.days';
}
