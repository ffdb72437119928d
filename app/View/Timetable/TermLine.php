<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/**
 * Where things stand on a term line: weeks side by side, five school days in each, a weekend day squeezed in behind Friday.
 * All positions are pixels; the drawing is text, so that a test can read it.
 */
final readonly class TermLine
{
    public const STATES = ['past', 'published', 'planned', 'changed', 'wrong'];

    private int $monday;

    private float $week;

    public function __construct(public Term $term, public int $width = 500, public int $height = 40, private int $left = 6, private float $radius = 3.1)
    {
        $this->monday = $term->first->monday()->day;
        $this->week = ($width - 2 * $left) / $term->weeks();
    }

    public function x(int $day): float
    {
        $offset = $day - $this->monday;
        $weekday = $offset % 7;

        return round($this->left + intdiv($offset, 7) * $this->week + (min($weekday, 4.5) + 0.5) * $this->week / 5, 1);
    }

    public function y(): float
    {
        return $this->height / 2;
    }

    /** The x of the moment "now", null outside the term. */
    public function now(int $day, int $minute = 720): ?float
    {
        return $this->term->contains($day) ? round($this->x($day) + ($minute / 1440 - 0.5) * $this->week / 5, 1) : null;
    }

    /** @return list<array{x: float, width: float, reason: string}> closed ranges */
    public function bands(): array
    {
        $half = $this->week / 10;
        $out = [];
        foreach ($this->term->closures as $closure) {
            $first = max($closure->first->day, $this->term->first->day);
            $last = min($closure->last->day, $this->term->last->day);
            if ($first <= $last) {
                $x = $this->x($first) - $half;
                $out[] = ['x' => round($x, 1), 'width' => round($this->x($last) + $half - $x, 1), 'reason' => $closure->reason];
            }
        }

        return $out;
    }

    /** @return list<array{x: float, text: string}> one label a week; the month is named where it changes */
    public function labels(): array
    {
        $out = [];
        $month = 0;
        for ($week = 1; $week <= $this->term->weeks(); $week++) {
            $date = $this->term->monday($week);
            [, $m, $d] = $date->parts();
            $out[] = ['x' => round($this->left + ($week - 1) * $this->week + 1, 1), 'text' => $m === $month ? (string) $d : $date->dayMonth()];
            $month = $m;
        }

        return $out;
    }

    /**
     * One path a state: round dots are strokes without length, so that sixty stops are one element.
     *
     * @param  array<string, list<int>>  $days  day numbers by state
     * @return array<string, string> path data by state
     */
    public function paths(array $days): array
    {
        $out = [];
        $y = $this->y();
        foreach (self::STATES as $state) {
            $d = '';
            foreach ($days[$state] ?? [] as $day) {
                $d .= 'M'.$this->x($day).' '.$y.'h0';
            }
            if ($d !== '') {
                $out[$state] = $d;
            }
        }

        return $out;
    }

    /**
     * The filled left halves of changed stops.
     *
     * @param  list<int>  $days
     */
    public function halves(array $days): string
    {
        $r = $this->radius;

        return implode('', array_map(fn (int $day): string => 'M'.$this->x($day).' '.($this->y() - $r)."a$r $r 0 0 0 0 ".(2 * $r).'z', $days));
    }

    /** @param  list<int>  $days */
    public function crosses(array $days): string
    {
        $r = $this->radius + 0.4;

        return implode('', array_map(fn (int $day): string => 'M'.($this->x($day) - $r).' '.($this->y() - $r).'l'.(2 * $r).' '.(2 * $r).'m0 '.(-2 * $r).'l'.(-2 * $r).' '.(2 * $r), $days));
    }

    /**
     * What the script needs to find the stop under the pointer: days since the term's first Monday.
     *
     * @param  array<string, list<int>>  $days
     */
    public function offsets(array $days): string
    {
        $all = array_map(fn (int $day): int => $day - $this->monday, array_merge(...array_values($days)));
        sort($all);

        return implode(' ', $all);
    }

    /** @return array{left: int, week: float, monday: string} */
    public function scale(): array
    {
        return ['left' => $this->left, 'week' => round($this->week, 3), 'monday' => (new LocalDate($this->monday))->iso()];
    }
}
