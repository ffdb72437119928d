<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Clashes;

use Nomada\Core\Term\Zone;

/** Two sessions that clash, one bar above the other, and the minutes that they share. Positions are percent. */
final readonly class ClashBars
{
    /**
     * @param  list<array{x: float, width: float, times: string}>  $bars  in the order of the sections
     * @param  array{x: float, width: float}|null  $shared  null where they only follow each other closely
     */
    private function __construct(public array $bars, public ?array $shared)
    {
    }

    /** @param  non-empty-list<array{int, int}>  $spans  UTC seconds: from and to of each session */
    public static function of(array $spans, Zone $zone): self
    {
        $from = min(array_column($spans, 0));
        $length = max(1, max(array_column($spans, 1)) - $from);
        $x = fn (int $at): float => round((100 * ($at - $from)) / $length, 1);
        $shared = [max(array_column($spans, 0)), min(array_column($spans, 1))];

        return new self(
            array_map(
                fn (array $s): array => [
                    'x' => $x($s[0]),
                    'width' => round($x($s[1]) - $x($s[0]), 1),
                    'times' => "{$zone->clock($s[0])}–{$zone->clock($s[1])}",
                ],
                $spans,
            ),
            count($spans) > 1 && $shared[0] < $shared[1]
                ? ['x' => $x($shared[0]), 'width' => round($x($shared[1]) - $x($shared[0]), 1)]
                : null,
        );
    }
}
