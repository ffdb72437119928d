<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/**
 * Rotation days (A/B, or day 1 to n): counted over open days only, so that a closed day does not use one up; or over
 * teaching weeks that have at least one open day. A date can be pinned to a rotation day, and counting goes on from
 * there.
 */
final readonly class Rotation
{
    /**
     * @param  bool  $byWeek  whether weeks rotate instead of days
     * @param  int  $n  how many rotation days there are
     * @param  bool  $isLettered  A, B, C instead of 1, 2, 3
     * @param  array<int, int>  $pins  rotation numbers (from 1) by day number
     *
     * @throws Fault
     */
    public function __construct(
        public bool $byWeek,
        public int $n,
        public bool $isLettered,
        public array $pins = [],
    ) {
        if ($n < 2 || $n > 12) {
            throw new Fault('rotation.n', 'rotation_n');
        }
        foreach ($pins as $day => $number) {
            if ($number < 1 || $number > $n) {
                throw new Fault('rotation.pin', 'pin_to', ['day' => new LocalDate($day), 'n' => $n]);
            }
        }
    }

    /** @param  array<string, mixed>  $plain */
    public static function from(array $plain): self
    {
        $pins = [];
        foreach ((array) ($plain['pins'] ?? []) as $date => $number) {
            $pins[LocalDate::parse((string) $date)->day] = (int) $number;
        }

        return new self(
            (bool) ($plain['by_week'] ?? false),
            (int) ($plain['n'] ?? 0),
            (bool) ($plain['lettered'] ?? true),
            $pins,
        );
    }

    /** @return array{by_week: bool, n: int, lettered: bool, pins: array<string, int>} */
    public function toArray(): array
    {
        $pins = [];
        foreach ($this->pins as $day => $number) {
            $pins[(new LocalDate($day))->iso()] = $number;
        }
        ksort($pins);

        return ['by_week' => $this->byWeek, 'n' => $this->n, 'lettered' => $this->isLettered, 'pins' => $pins];
    }

    /** `A` or `1` for the first. */
    public function label(int $number): string
    {
        return $this->isLettered ? chr(64 + $number) : (string) $number;
    }

    /** @return list<string> */
    public function labels(): array
    {
        return array_map($this->label(...), range(1, $this->n));
    }

    /** The number of a label, null if it is none of this rotation. */
    public function numberOf(string $label): ?int
    {
        $at = array_search(strtoupper($label), $this->labels(), true);

        return $at === false ? null : $at + 1;
    }

    /**
     * The rotation number of every open day; of every day of a counted week where weeks rotate.
     *
     * @return array<int, int> by day number
     */
    public function over(Term $term): array
    {
        return $this->byWeek ? $this->weeks($term) : $this->days($term);
    }

    /** @return array<int, int> */
    private function days(Term $term): array
    {
        $out = [];
        $next = 1;
        foreach ($term->openDays() as $day) {
            $out[$day] = $this->pins[$day] ?? $next;
            $next = ($out[$day] % $this->n) + 1;
        }

        return $out;
    }

    /** @return array<int, int> */
    private function weeks(Term $term): array
    {
        $open = [];
        foreach ($term->openDays() as $day) {
            $open[$term->weekOf($day)] = true;
        }
        $pins = [];
        foreach ($this->pins as $day => $number) {
            $pins[$term->weekOf($day)] = $number;
        }
        $out = [];
        $next = 1;
        for ($week = 1; $week <= $term->weeks(); $week++) {
            if (! isset($open[$week])) {
                continue;
            }
            $number = $pins[$week] ?? $next;
            $next = ($number % $this->n) + 1;
            $monday = $term->monday($week)->day;
            for ($day = $monday; $day < $monday + 7; $day++) {
                if ($term->contains($day)) {
                    $out[$day] = $number;
                }
            }
        }

        return $out;
    }
}
