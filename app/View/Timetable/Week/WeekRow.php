<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Week;

/** One row of a week: a teacher, a section or a year, with its sessions. */
final readonly class WeekRow
{
    /** Of one lane, in px. */
    public const HEIGHT = 46;

    /**
     * @param  list<WeekBlock>  $blocks
     * @param  list<BusySpan>  $busy
     */
    public function __construct(
        public string $name,
        public array $blocks,
        public int $lanes,
        public array $busy = [],
    ) {
    }

    /**
     * Blocks of a row that overlap are put below each other.
     *
     * @param  list<WeekBlock>  $blocks
     * @param  list<BusySpan>  $busy
     */
    public static function of(string $name, array $blocks, array $busy = []): self
    {
        usort($blocks, fn (WeekBlock $a, WeekBlock $b): int => $a->x <=> $b->x);
        $ends = [];
        foreach ($blocks as $i => $block) {
            $lane = 0;
            while (($ends[$lane] ?? -1) > $block->x + 0.5) {
                $lane++;
            }
            $ends[$lane] = $block->x + $block->width;
            $blocks[$i] = $lane === 0 ? $block : $block->inLane($lane);
        }

        return new self($name, $blocks, max(1, count($ends)), $busy);
    }

    public function height(): int
    {
        return self::HEIGHT * $this->lanes;
    }
}
