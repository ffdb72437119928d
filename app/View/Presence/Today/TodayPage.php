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

    /**
     * @param  string  $place  whose clock it is
     * @param  string|null  $closed  why school is closed
     * @param  list<TodayRow>  $rows
     * @param  array<string, string>  $mine  names of the sections in which the viewer can begin a session now, by
     *   their sourcedIds
     */
    public function __construct(
        public LocalDate $date,
        public bool $isToday,
        public string $place,
        public ?string $closed,
        public array $rows,
        public array $mine,
    ) {
        $this->sections = Address::of('section');
        $this->attendance = Address::of('attendance.session');
        $this->live = Address::of('live');
    }
}
