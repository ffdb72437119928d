<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

/** One session on the axis of its day: from the opening to the end, filled by how many are or were inside. */
final readonly class DayTrack
{
    /** Height of a session's block in px, and where it begins. */
    public const HEIGHT = 18;

    public const TOP = 18;

    /** Height of a row, so that the line of this moment runs through all of them. */
    public const ROW = 54;

    public const MIDDLE = self::TOP + self::HEIGHT / 2;

    /**
     * @param  float  $opens  percent of the width; $start and $width of the session's block likewise
     * @param  int  $filled  px from the bottom of the block
     * @param  'past'|'now'|'ahead'|'off'|'wrong'  $is
     */
    private function __construct(
        public float $opens,
        public float $start,
        public float $width,
        public int $filled,
        public string $is,
    ) {
    }

    /**
     * @param  array{int, int, int}  $at  UTC seconds: opening, start, end
     * @param  float|null  $share  of those expected who are or were inside, 0 to 1; null where nobody knows
     */
    public static function of(DayAxis $axis, array $at, ?float $share, string $is): self
    {
        [$opens, $start, $end] = array_map($axis->x(...), $at);

        return new self(
            $opens,
            $start,
            max(0.4, round($end - $start, 1)),
            (int) round(self::HEIGHT * max(0, min(1, $share ?? 0))),
            in_array($is, ['past', 'now', 'off', 'wrong'], true) ? $is : 'ahead',
        );
    }

    /** Where the fill begins. */
    public function fillTop(): int
    {
        return self::TOP + self::HEIGHT - $this->filled;
    }
}
