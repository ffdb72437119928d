<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable;

/**
 * Spans of time, each with a weight, that are asked many times what of them lies in some other span. Whatever has begun
 * before it ends, less whatever has ended before it begins, lies in it: two sums that are kept, instead of one look at
 * each.
 */
final readonly class Spans
{
    /** @var array{list<int>, list<int>} where spans begin, and how much has begun before each of them */
    private array $begins;

    /** @var array{list<int>, list<int>} likewise of their ends */
    private array $ends;

    /**
     * @param  list<array{0: int, 1: int, 2?: int}>  $spans  from, to, and how much it weighs; 1 where that is left out
     */
    public function __construct(array $spans)
    {
        $this->begins = self::summed(array_map(fn (array $s): array => [$s[0], $s[2] ?? 1], $spans));
        $this->ends = self::summed(array_map(fn (array $s): array => [$s[1], $s[2] ?? 1], $spans));
    }

    /** What all that is in a span weighs together; one that only touches it is not in it. */
    public function within(int $from, int $to): int
    {
        return self::before($this->begins, $to) - self::before($this->ends, $from + 1);
    }

    /**
     * @param  list<array{int, int}>  $points  where, and how much
     * @return array{list<int>, list<int>} the points in order, and the sum before each; behind the last that of all
     */
    private static function summed(array $points): array
    {
        sort($points);
        $sums = [0];
        foreach ($points as [, $weight]) {
            $sums[] = end($sums) + $weight;
        }

        return [array_column($points, 0), $sums];
    }

    /** @param  array{list<int>, list<int>}  $summed */
    private static function before(array $summed, int $at): int
    {
        [$points, $sums] = $summed;
        $low = 0;
        $high = count($points);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($points[$middle] < $at) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $sums[$low];
    }
}
