<?php

declare(strict_types=1);

namespace Nomada\Core\Term;

use Nomada\Core\Fault;

/**
 * A term: its first and last day, its zone, and which of its days are open.
 *
 * Weekends are closed unless opened; a closure closes every day of its range. Teaching week 1 is the week of the term's
 * first day.
 */
final class Term
{
    /** Why a Saturday or Sunday is closed that nobody opened. */
    /**
     * Why a day is closed, by day number; open days are not in it.
     *
     * @var array<int, string>
     */
    private array $closed = [];

    /** @var array<int, ShortDay> by day number */
    private array $shorts = [];

    /** @var array<int, int>|null learnt when it is first asked for */
    private ?array $rotated = null;

    /**
     * @param  list<Closure>  $closures
     * @param  list<LocalDate>  $opened  weekend days on which school is held
     * @param  DayPlan|null  $plan  of every open day that has none of its own
     * @param  list<ShortDay>  $shortDays
     * @param  array{int, int}  $hours  within which sessions are expected, minutes from midnight
     */
    public function __construct(
        public readonly string $title,
        public readonly LocalDate $first,
        public readonly LocalDate $last,
        public readonly Zone $zone,
        public readonly array $closures = [],
        public readonly array $opened = [],
        public readonly ?DayPlan $plan = null,
        array $shortDays = [],
        public readonly ?Rotation $rotation = null,
        public readonly array $hours = [7 * 60, 21 * 60],
    ) {
        if ($last->day < $first->day) {
            throw new Fault('term.backwards', '', [
                'title' => $title,
                'last' => $last->iso(),
                'first' => $first->iso(),
            ]);
        }
        if ($last->day - $first->day > 400) {
            throw new Fault('term.long', '', ['title' => $title]);
        }
        for ($day = $first->day; $day <= $last->day; $day++) {
            if (LocalDate::weekdayOf($day) > 5) {
                $this->closed[$day] = Because::WEEKEND;
            }
        }
        foreach ($opened as $date) {
            unset($this->closed[$date->day]);
        }
        foreach ($closures as $closure) {
            for (
                $day = max($closure->first->day, $first->day);
                $day <= min($closure->last->day, $last->day);
                $day++
            ) {
                $this->closed[$day] = $closure->reason;
            }
        }
        foreach ($shortDays as $short) {
            $this->shorts[$short->date->day] = $short;
        }
    }

    /** The plan that an open day follows; null where no plan is known. */
    public function planOn(int $day): ?DayPlan
    {
        return isset($this->shorts[$day]) ? $this->shorts[$day]->plan : $this->plan;
    }

    /** The short day that a date is; null on a usual or a closed one. */
    public function shortDay(int $day): ?ShortDay
    {
        return $this->isOpen($day) ? $this->shorts[$day] ?? null : null;
    }

    /** The rotation day (or the week's, where weeks rotate) as a number from 1; null where the date counts for none. */
    public function rotationOn(int $day): ?int
    {
        $this->rotated ??= $this->rotation?->over($this) ?? [];

        return $this->rotated[$day] ?? null;
    }

    /** `A`, `3`; null where the date counts for none. */
    public function rotationLabel(int $day): ?string
    {
        $number = $this->rotationOn($day);

        return $number === null ? null : $this->rotation?->label($number);
    }

    /**
     * Within which hours sessions are expected on a day, in minutes from midnight: a short day ends with its last
     * period.
     *
     * @return array{int, int}
     */
    public function hoursOn(int $day): array
    {
        $short = $this->shorts[$day] ?? null;

        return $short === null ? $this->hours : [$this->hours[0], min($this->hours[1], $short->plan->closes())];
    }

    public function contains(int $day): bool
    {
        return $day >= $this->first->day && $day <= $this->last->day;
    }

    public function isOpen(int $day): bool
    {
        return $this->contains($day) && ! isset($this->closed[$day]);
    }

    /** Why no session is held on a day: the closure's reason, or a code ({@see Because}); null on an open day. */
    public function closedBecause(int $day): ?string
    {
        return $this->contains($day) ? $this->closed[$day] ?? null : Because::OUTSIDE;
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

    /** Whether a day is a Saturday or Sunday that nobody has opened, be it closed for another reason too. */
    public function isWeekend(int $day): bool
    {
        return LocalDate::weekdayOf($day) > 5 && ! in_array($day, array_column($this->opened, 'day'), true);
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

    /**
     * The weekdays on which school is held at all in this term: Monday to Friday, and those of the days that are
     * opened.
     *
     * @return list<int> 1 (Monday) to 7, ascending
     */
    public function weekdays(): array
    {
        $opened = array_map(fn (LocalDate $d): int => $d->weekday(), $this->opened);

        return array_values(array_filter(range(1, 7), fn (int $d): bool => $d < 6 || in_array($d, $opened, true)));
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
