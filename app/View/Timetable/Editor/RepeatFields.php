<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Editor;

/** How a series repeats, as the form shows it. */
final readonly class RepeatFields
{
    /**
     * @param  string  $kind  how it repeats: weekly, open-days, rotation, every-days, month-weekday, month-day,
     *   dates, keep
     * @param  list<Tick>  $weekdays
     * @param  array<int, string>  $weekdayNames  by ISO number, of the days on which school can be
     * @param  RotationChoice|null  $rotation  null where the term has none
     * @param  string|null  $imported  what a pattern says that no other choice can say
     */
    public function __construct(
        public string $kind,
        public array $weekdays,
        public string $every,
        public array $weekdayNames,
        public ?RotationChoice $rotation,
        public string $everyDays,
        public string $monthNth,
        public string $monthWeekday,
        public string $monthDay,
        public string $dates,
        public ?string $imported,
    ) {
    }
}
