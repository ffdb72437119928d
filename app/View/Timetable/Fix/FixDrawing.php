<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\TypedTime;

/**
 * The week before and after: a row for each section and teacher that is touched, a day beside the other. Positions are
 * pixels of a drawing that is WIDE wide.
 */
final readonly class FixDrawing
{
    public const WIDE = 820;

    private const LABEL = 150;

    private const HEAD = 40;

    private const ROW = 46;

    private const BLOCK = 30;

    /** Pixels between two days. */
    private const GAP = 24;

    public int $height;

    /** @var list<array{name: string, x: float, hours: list<array{x: float, words: string}>}> */
    public array $days;

    /** @var list<array{name: string, y: int, blocks: list<FixBlock>, arcs: list<string>}> */
    public array $rows;

    /**
     * @param  list<array{name: string, series: list<array{days: list<int>, from: int, to: int, kind: string,
     *   words: string, of: int}>}>  $rows  kind: stays, was or becomes; of: the series
     * @param  list<int>  $weekdays
     * @param  array{int, int}  $hours  that are drawn, in minutes from midnight
     */
    public function __construct(array $rows, array $weekdays, array $hours)
    {
        $day = (self::WIDE - self::LABEL - self::GAP * count($weekdays)) / max(1, count($weekdays));
        $x = fn (int $weekday, int $minute): float => round(
            self::LABEL +
                (int) array_search($weekday, $weekdays, true) * ($day + self::GAP) +
                ($day * ($minute - $hours[0])) / max(1, $hours[1] - $hours[0]),
            1,
        );
        $days = $out = [];
        foreach ($weekdays as $weekday) {
            $marks = [];
            for ($hour = intdiv($hours[0] + 59, 60); $hour * 60 <= $hours[1]; $hour += 2) {
                $marks[] = ['x' => $x($weekday, $hour * 60), 'words' => (string) $hour];
            }
            $days[] = [
                'name' => Say::this(Said::weekday($weekday)),
                'x' => $x($weekday, $hours[0]),
                'hours' => $marks,
            ];
        }
        foreach ($rows as $i => $row) {
            $y = self::HEAD + $i * self::ROW;
            $blocks = $ends = [];
            foreach ($row['series'] as $series) {
                foreach ($series['days'] as $weekday) {
                    $from = $x($weekday, $series['from']);
                    $block = new FixBlock(
                        $from,
                        $y + 10,
                        round($x($weekday, $series['to']) - $from, 1),
                        self::BLOCK,
                        $series['kind'],
                        $series['words'],
                    );
                    $blocks[] = $block;
                    $ends[$series['of']][$series['kind']][] = $block;
                }
            }
            $out[] = ['name' => $row['name'], 'y' => $y, 'blocks' => $blocks, 'arcs' => self::arcs($ends)];
        }
        $this->days = $days;
        $this->rows = $out;
        $this->height = self::HEAD + count($rows) * self::ROW + 4;
    }

    /**
     * From where each session of a week was to where it is: paths of SVG.
     *
     * @param  array<int, array<string, list<FixBlock>>>  $ends
     * @return list<string>
     */
    private static function arcs(array $ends): array
    {
        $out = [];
        foreach ($ends as $of) {
            foreach ($of['was'] ?? [] as $i => $was) {
                $becomes = $of['becomes'][$i] ?? null;
                if ($becomes !== null && abs($becomes->x - $was->x) > 2) {
                    [$a, $b] = [round($was->x + $was->width / 2, 1), round($becomes->x + $becomes->width / 2, 1)];
                    $top = $was->y - 2;
                    $mid = round(($a + $b) / 2, 1);
                    $out[] = "M$a,$top Q$mid,".($top - 14)." $b,$top";
                }
            }
        }

        return $out;
    }

    /**
     * @param  list<int>  $weekdays
     * @return string `Thu 10:30–11:15`
     */
    public static function when(array $weekdays, int $from, int $to): string
    {
        $times = new Said('patterns.times', ['times' => TypedTime::format($from).'–'.TypedTime::format($to)]);

        return Say::this(Said::row([...array_values(array_map(Said::weekday(...), $weekdays)), $times]));
    }
}
