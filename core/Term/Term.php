<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/**
 * A term: its first and last day, its zone, and which of its days are open.
 *
 * Weekends are closed unless opened; a closure closes every day of its range. Teaching week 1 is the week of the term's first day.
 */
final class Term
{
    /**
     * Why a day is closed, by day number; open days are not in it.
     *
     * @var array<int, string>
     */
    private array $closed = [];

    /**
     * @param  list<Closure>  $closures
     * @param  list<LocalDate>  $opened  weekend days on which school is held
     */
    public function __construct(
        public readonly string $title,
        public readonly LocalDate $first,
        public readonly LocalDate $last,
        public readonly Zone $zone,
        public readonly array $closures = [],
        public readonly array $opened = [],
    ) {
        if ($last->day < $first->day) {
            throw new Fault("The term \"$title\" ends on {$last->iso()}, before it begins on {$first->iso()}.");
        }
        if ($last->day - $first->day > 400) {
            throw new Fault("The term \"$title\" is longer than 400 days. Enter one term at a time.");
        }
        for ($day = $first->day; $day <= $last->day; $day++) {
            if (LocalDate::weekdayOf($day) > 5) {
                $this->closed[$day] = 'Weekend';
            }
        }
        foreach ($opened as $date) {
            unset($this->closed[$date->day]);
        }
        foreach ($closures as $closure) {
            for ($day = max($closure->first->day, $first->day); $day <= min($closure->last->day, $last->day); $day++) {
                $this->closed[$day] = $closure->reason;
            }
        }
    }

    public function contains(int $day): bool
    {
        return $day >= $this->first->day && $day <= $this->last->day;
    }

    public function isOpen(int $day): bool
    {
        return $this->contains($day) && ! isset($this->closed[$day]);
    }

    /** Why no session is held on a day: the closure's reason, "Weekend", "Outside the term"; null on an open day. */
    public function closedBecause(int $day): ?string
    {
        return $this->contains($day) ? ($this->closed[$day] ?? null) : 'Outside the term';
    }

    /**
     * Why each closed day of the term is closed.
     *
     * @return array<int, string> by day number
     */
    public function closedDays(): array
    {
        return $this->closed;
    }

    /** @return list<int> day numbers */
    public function openDays(): array
    {
        $out = [];
        for ($day = $this->first->day; $day <= $this->last->day; $day++) {
            if (! isset($this->closed[$day])) {
                $out[] = $day;
            }
        }

        return $out;
    }

    /** 1 for the week of the term's first day. */
    public function weekOf(int $day): int
    {
        return intdiv($day - $this->first->monday()->day, 7) + 1;
    }

    public function weeks(): int
    {
        return $this->weekOf($this->last->day);
    }

    /** The Monday of teaching week n. */
    public function monday(int $week): LocalDate
    {
        return $this->first->monday()->plus(($week - 1) * 7);
    }

    /** UTC seconds of the term's first midnight. */
    public function starts(): int
    {
        return $this->zone->instant($this->first->day, 0);
    }

    /** UTC seconds of the midnight that ends the term's last day. */
    public function ends(): int
    {
        return $this->zone->instant($this->last->day + 1, 0);
    }
}
