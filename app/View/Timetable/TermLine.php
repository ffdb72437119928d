<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable;

use Illuminate\Support\HtmlString;
use Nomada\App\Support\Say;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Term;

/**
 * Where things are on a term line: weeks side by side, five school days in each, a weekend day squeezed in behind
 * Friday. All positions are pixels; the drawing is text, so that a test can read it.
 */
final class TermLine
{
    public const STATES = ['past', 'published', 'planned', 'changed', 'makeup', 'wrong'];

    private readonly int $monday;

    private readonly float $week;

    /** @var array<int, float> */
    private array $xs = [];

    /** @var array<int, string> */
    private array $dots = [];

    /** @var array<int, int> */
    private array $offsets = [];

    private ?string $ground = null;

    public function __construct(
        public readonly Term $term,
        public readonly int $width = 500,
        public readonly int $height = 40,
        private readonly int $left = 6,
        private readonly float $radius = 3.1,
    ) {
        $this->monday = $term->first->monday()->day;
        $this->week = ($width - 2 * $left) / $term->weeks();
    }

    public function x(int $day): float
    {
        if (isset($this->xs[$day])) {
            return $this->xs[$day];
        }
        $offset = $day - $this->monday;
        $weekday = $offset % 7;

        return $this->xs[$day] = round(
            $this->left + intdiv($offset, 7) * $this->week + ((min($weekday, 4.5) + 0.5) * $this->week) / 5,
            1,
        );
    }

    public function y(): float
    {
        return $this->height / 2;
    }

    /** The x of the moment "now", null outside the term. */
    public function now(int $day, int $minute = 720): ?float
    {
        return $this->term->contains($day)
            ? round($this->x($day) + (($minute / 1440 - 0.5) * $this->week) / 5, 1)
            : null;
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
                $out[] = [
                    'x' => round($x, 1),
                    'width' => round($this->x($last) + $half - $x, 1),
                    'reason' => $closure->reason,
                ];
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
            $out[] = [
                'x' => round($this->left + ($week - 1) * $this->week + 1, 1),
                'text' => $m === $month ? (string) $d : Say::dayMonth($date),
            ];
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
        foreach (self::STATES as $state) {
            if (($days[$state] ?? []) !== []) {
                $out[$state] = implode('', array_intersect_key($this->dots(), array_flip($days[$state])));
            }
        }

        return $out;
    }

    /**
     * A round dot for every day of the term and the weekend behind it.
     *
     * @return array<int, string> by day number
     */
    private function dots(): array
    {
        if ($this->dots === []) {
            $y = $this->y();
            for ($day = $this->monday; $day <= $this->term->last->day + 6; $day++) {
                $this->dots[$day] = 'M'.$this->x($day)." {$y}h0";
                $this->offsets[$day] = $day - $this->monday;
            }
        }

        return $this->dots;
    }

    /**
     * The filled left halves of changed stops.
     *
     * @param  list<int>  $days
     */
    public function halves(array $days): string
    {
        $r = $this->radius;

        return implode(
            '',
            array_map(
                fn (int $day): string => 'M'.
                    $this->x($day).
                    ' '.
                    ($this->y() - $r).
                    "a$r $r 0 0 0 0 ".
                    2 * $r.
                    'z',
                $days,
            ),
        );
    }

    /** @param  list<int>  $days */
    public function crosses(array $days): string
    {
        $r = $this->radius + 0.4;

        return implode(
            '',
            array_map(
                fn (int $day): string => 'M'.
                    ($this->x($day) - $r).
                    ' '.
                    ($this->y() - $r).
                    'l'.
                    2 * $r.
                    ' '.
                    2 * $r.
                    'm0 '.
                    -2 * $r.
                    'l'.
                    -2 * $r.
                    ' '.
                    2 * $r,
                $days,
            ),
        );
    }

    /** @param  list<int>  $days */
    public function diamonds(array $days): string
    {
        $r = $this->radius + 1.2;

        return implode(
            '',
            array_map(
                fn (int $day): string => 'M'.
                    $this->x($day).
                    ' '.
                    ($this->y() - $r).
                    "l$r {$r}l-$r {$r}l-$r -{$r}z",
                $days,
            ),
        );
    }

    /**
     * What the script needs to find the stop under the pointer: days since the term's first Monday.
     *
     * @param  array<string, list<int>>  $days
     */
    public function offsets(array $days): string
    {
        $this->dots();

        return implode(' ', array_intersect_key($this->offsets, array_flip(array_merge(...array_values($days)))));
    }

    /**
     * The line as SVG. The same on every screen; one element a state, so that six hundred of them stay light.
     *
     * @param  array<string, list<int>>  $days  day numbers by state
     * @param  string|null  $url  where a stop leads, with ?day=…; null where it leads nowhere
     */
    public function draw(
        array $days,
        string $name,
        int $today,
        int $minute = 720,
        ?string $url = null,
        bool $large = false,
    ): HtmlString {
        $y = $this->y();
        $svg = '';
        foreach ($this->paths($days) as $state => $path) {
            $svg .= match ($state) {
                'planned' => "<path class=\"stop ring\" d=\"$path\"/><path class=\"stop hole\" d=\"$path\"/>",
                'changed' => "<path class=\"stop ring-changed\" d=\"$path\"/><path class=\"stop hole\" d=\"$path\"/>".
                    "<path class=\"half\" d=\"{$this->halves($days['changed'])}\"/>",
                'makeup' => "<path class=\"diamond\" d=\"{$this->diamonds($days['makeup'])}\"/>",
                'wrong' => "<path class=\"cross\" d=\"{$this->crosses($days['wrong'])}\"/>",
                default => "<path class=\"stop $state\" d=\"$path\"/>",
            };
        }
        $now = $this->now($today, $minute);
        $svg .= $now === null ? '' : "<line class=\"now\" x1=\"$now\" x2=\"$now\" y1=\"0\" y2=\"$this->height\"/>";
        $data = '';
        if ($url !== null) {
            $svg .= "<circle class=\"mark\" cx=\"0\" cy=\"$y\" r=\"6.5\"/>";
            $data =
                ' data-url="'.
                e($url).
                '" data-name="'.
                e($name).
                "\" data-days=\"{$this->offsets($days)}\" data-now=\"".
                ($today - $this->monday).
                '"';
        }
        $label = e("$name: ".trans_choice('count.sessions', array_sum(array_map(count(...), $days))));

        return new HtmlString(
            '<svg class="line'.
                ($large ? ' large' : '').
                "\" width=\"$this->width\" height=\"$this->height\" viewBox=\"0 0 $this->width $this->height\" ".
                "role=\"img\" aria-label=\"$label\"$data><title>".
                e($name).
                "</title>{$this->ground()}$svg</svg>",
        );
    }

    /** What is the same for every section: the closed bands and the track. */
    private function ground(): string
    {
        if ($this->ground === null) {
            $this->ground = '';
            foreach ($this->bands() as $band) {
                $this->ground .=
                    "<rect class=\"band\" x=\"{$band['x']}\" y=\"0\" width=\"{$band['width']}\" ".
                    "height=\"$this->height\"/>";
            }
            $right = $this->width - 6;
            $this->ground .= "<line class=\"track\" x1=\"6\" x2=\"$right\" y1=\"{$this->y()}\" y2=\"{$this->y()}\"/>";
        }

        return $this->ground;
    }

    /** @return array{left: int, week: float, monday: string} */
    public function scale(): array
    {
        return [
            'left' => $this->left,
            'week' => round($this->week, 3),
            'monday' => (new LocalDate($this->monday))->iso(),
        ];
    }
}
