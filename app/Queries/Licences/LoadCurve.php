<?php

declare(strict_types=1);

namespace Nomada\App\Queries\Licences;

use Nomada\App\Support\Say;
use Nomada\Core\Timetable\Licences;

/**
 * How many sessions run at once over a week, drawn: a step for every five minutes, days side by side. All positions
 * are pixels.
 */
final readonly class LoadCurve
{
    public const WIDTH = 1240;

    public const HEIGHT = 150;

    private const LEFT = 30;

    private const BETWEEN = 14;

    /**
     * @param  list<array{x: float, name: string, most: int}>  $days
     * @param  list<array{x: float, text: string}>  $hours
     * @param  float|null  $capacity  where the line of what the accounts bear lies
     * @param  list<array{y: float, n: int}>  $levels
     */
    private function __construct(
        public string $path,
        public array $days,
        public array $hours,
        public ?float $capacity,
        public array $levels,
    ) {
    }

    /** @param  array<int, array<int, int>>  $curve  sessions by weekday and minute */
    public static function of(array $curve, int $peak, int $capacity): self
    {
        $top = max(1, $peak, $capacity) + 1;
        $y = fn (int $n): float => round(self::HEIGHT - ($n / $top) * self::HEIGHT, 1);
        $minutes = array_merge(...array_map(array_keys(...), array_values($curve)));
        [$from, $to] = [intdiv(min(960, ...$minutes), 60) * 60, (intdiv(max(480, ...$minutes), 60) + 1) * 60];
        $days = $hours = [];
        $path = '';
        $width = (self::WIDTH - self::LEFT) / max(1, count($curve));
        $scale = ($width - self::BETWEEN) / max(1, $to - $from);
        foreach (array_keys($curve) as $i => $weekday) {
            $left = self::LEFT + $i * $width;
            $days[] = [
                'x' => round($left, 1),
                'name' => Say::weekday($weekday),
                'most' => max(0, ...array_values($curve[$weekday])),
            ];
            $path .= 'M'.round($left, 1).' '.$y(0);
            $last = 0;
            for ($minute = $from; $minute <= $to; $minute += Licences::STEP) {
                $n = $minute === $to ? 0 : $curve[$weekday][$minute] ?? 0;
                if ($n !== $last) {
                    $path .= 'H'.round($left + ($minute - $from) * $scale, 1).'V'.$y($n);
                    $last = $n;
                }
            }
            $path .= 'H'.round($left + $width - self::BETWEEN, 1);
            for ($hour = intdiv($from, 60); $hour * 60 < $to; $hour += 2) {
                $hours[] = ['x' => round($left + ($hour * 60 - $from) * $scale, 1), 'text' => (string) $hour];
            }
        }
        $step = max(1, (int) ceil($top / 6));

        return new self(
            $path,
            $days,
            $hours,
            $capacity === 0 ? null : $y($capacity),
            array_map(fn (int $n): array => ['y' => $y($n), 'n' => $n], range(0, $top - 1, $step)),
        );
    }
}
