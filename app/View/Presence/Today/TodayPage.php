<?php

declare(strict_types=1);

namespace Nomada\App\View\Presence\Today;

use Nomada\App\View\Address;
use Nomada\Core\Term\LocalDate;

/** A day's sessions as a departure board: when, what, who, and how the doors are at this moment. */
final readonly class TodayPage
{
    /** Of sections, of a session's attendance and of its live desk. */
    public Address $sections;

    public Address $attendance;

    public Address $live;

    /** By which somebody joins a session of a series, in their own role. */
    public Address $join;

    /**
     * @param  string  $place  whose clock it is
     * @param  string|null  $closed  why school is closed
     * @param  list<TodayRow>  $rows
     * @param  list<array{x: float, time: string}>  $hours  of the drawing
     * @param  float|null  $now  where this moment is in the drawing; null on another day
     * @param  array<string, string>  $mine  names of the sections in which the viewer can begin a session now, by
     *   their sourcedIds
     * @param  int  $requests  of teachers that wait; 0 for anybody but a coordinator
     */
    public function __construct(
        public LocalDate $date,
        public bool $isToday,
        public string $place,
        public ?string $closed,
        public array $rows,
        public array $hours,
        public ?float $now,
        public array $mine,
        public int $requests,
    ) {
        $this->sections = Address::of('section');
        $this->attendance = Address::of('attendance.session');
        $this->live = Address::of('live');
        $this->join = Address::of('enter');
    }

    /** How many sessions people can join at this moment. */
    public function open(): int
    {
        return count(array_filter($this->rows, self::isOpen(...)));
    }

    /** Students inside, of all sessions that are open. */
    public function inside(): int
    {
        return array_sum(
            array_map(fn (TodayRow $r): int => (int) $r->now->here, array_filter($this->rows, self::isOpen(...))),
        );
    }

    /** The first session that the viewer teaches and may enter at this moment. */
    public function next(): ?TodayRow
    {
        return array_values(array_filter($this->rows, fn (TodayRow $r): bool => $r->mayJoin))[0] ?? null;
    }

    private static function isOpen(TodayRow $row): bool
    {
        return in_array($row->now->state, [DoorState::Open, DoorState::Running], true);
    }
}
