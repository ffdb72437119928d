<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Editor;

use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\View\Timetable\Panel\FreeLine;

/** The form in which a series is planned or changed, filled in: with what was typed last, else with what holds. */
final readonly class SeriesEditor
{
    /** What stands beneath "Other patterns" until it is opened. */
    private const USUAL = ['weekly', 'open-days', 'rotation'];

    /**
     * @param  Series|null  $series  null for a new one
     * @param  string  $sureStart  the answer that says which hour was meant, where one could mean two; $sureEnd
     *   likewise
     * @param  string  $kind  how it repeats: weekly, open-days, rotation, every-days, month-weekday, month-day,
     *   dates, keep
     * @param  list<Tick>  $weekdays
     * @param  array<int, string>  $weekdayNames  by ISO number, of the days on which school can be
     * @param  RotationChoice|null  $rotation  null where the term has none
     * @param  string|null  $imported  what a pattern says that no other choice can say
     * @param  array<string, string>  $periods  words by name; none where there is no plan of periods
     * @param  string  $at  period or clock
     * @param  string  $zone  the place of its clock
     * @param  string  $endKind  term, date, held or keep
     * @param  int|null  $counted  after how many dates it ends, closed days counted, as an imported one may
     * @param  string|null  $nextDay  ISO, the first day that an edit of "this and later" can change
     * @param  list<FreeLine>  $free
     * @param  list<string>  $teachers  for whom it is free
     */
    public function __construct(
        public Section $section,
        public ?Series $series,
        public string $title,
        public string $sureStart,
        public string $sureEnd,
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
        public string $at,
        public array $periods,
        public string $period,
        public string $start,
        public string $end,
        public string $zone,
        public string $firstDay,
        public string $endKind,
        public string $endsOn,
        public string $count,
        public ?int $counted,
        public string $termFirst,
        public string $termLast,
        public string $termLastShort,
        public ?string $nextDay,
        public string $reach,
        public array $free,
        public int $students,
        public array $teachers,
    ) {
    }

    public function isOther(): bool
    {
        return ! in_array($this->kind, self::USUAL, true);
    }
}
