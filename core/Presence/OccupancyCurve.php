<?php

declare(strict_types=1);

namespace Nomada\Core\Presence;

/** How many were inside, over the time of a session. */
final readonly class OccupancyCurve
{
    /** @param  list<array{int, int}>  $steps  from this second on so many; ascending, no two alike in a row */
    private function __construct(public array $steps, public int $most, public ?int $mostAt)
    {
    }

    /** @param  list<list<array{int, int}>>  $people  when each was inside */
    public static function of(array $people): self
    {
        $changes = [];
        foreach ($people as $intervals) {
            foreach ($intervals as [$since, $until]) {
                $changes[$since] = ($changes[$since] ?? 0) + 1;
                $changes[$until] = ($changes[$until] ?? 0) - 1;
            }
        }
        ksort($changes);
        $steps = [];
        $inside = 0;
        $most = 0;
        $mostAt = null;
        foreach ($changes as $at => $change) {
            if ($change === 0) {
                continue;
            }
            $inside += $change;
            $steps[] = [$at, $inside];
            if ($inside > $most) {
                $most = $inside;
                $mostAt = $at;
            }
        }

        return new self($steps, $most, $mostAt);
    }
}
