<?php

declare(strict_types=1);

namespace Nomada\Core\Timetable\Solver;

use Nomada\Core\Timetable\Attendee;
use Nomada\Core\Timetable\SeriesPlan;

/** A series as it stands in the timetable, or one that has no time yet. */
final readonly class TimetabledSeries
{
    /** The account of a series that is hosted, and finds none. */
    public const NO_ACCOUNT = 0;

    /** What is added to the id of a series that has no time yet, which is counted apart from the others. */
    public const WITHOUT_TIME = 1 << 40;

    /**
     * @param  int  $id  below zero for sessions of a series that stay whatever the series does: those that another
     *   teacher takes, or that are for chosen students
     * @param  int  $series  whose sessions these are
     * @param  SeriesPlan|null  $plan  that holds from the day on; null where the series does not move whatever is asked
     * @param  list<array{int, int, int}>  $sessions  those that the plan makes: day number, UTC start, UTC end
     * @param  list<array{int, int, int}>  $fixed  those that keep a time of their own: moved and extra ones
     * @param  list<Attendee>  $people
     * @param  string|null  $room  that no other series can use at the same time
     * @param  int|null  $account  the host account, where it bears one session at once
     * @param  bool  $hasTime  false where its plan only says how many sessions a week, how long, from when and until
     */
    public function __construct(
        public int $id,
        public int $series,
        public int $section,
        public ?SeriesPlan $plan,
        public array $sessions,
        public array $fixed,
        public array $people,
        public ?string $room = null,
        public ?int $account = null,
        public bool $isPinned = false,
        public bool $hasTime = true,
    ) {
    }

    public function onAccount(int $account): self
    {
        return new self(...['account' => $account] + get_object_vars($this));
    }

    /** The id of a series without a time, of the number that it has in the problem; null for one with a time. */
    public static function withoutTime(int $id): ?int
    {
        return $id > self::WITHOUT_TIME ? $id - self::WITHOUT_TIME : null;
    }
}
