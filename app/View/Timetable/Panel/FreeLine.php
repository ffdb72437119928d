<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Panel;

use Nomada\App\Support\Say;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\TypedTime;
use Nomada\Core\Timetable\FreeTime;

/** One free time that can be taken, with what it costs. */
final readonly class FreeLine
{
    /**
     * @param  string  $words  when it is: `Thu 12:15–13:00`
     * @param  bool  $isGood  on no session of it is anybody elsewhere, a pause too short, or the school closed
     * @param  string  $day  ISO, where its first session lands
     * @param  string  $start  as typed; $end likewise
     * @param  string  $minutes  start and length in minutes and the shift in days, as the editor's script takes it
     * @param  string  $value  day, start, length and how many students are elsewhere, as one field of a form
     */
    private function __construct(
        public string $words,
        public string $cost,
        public bool $isGood,
        public string $day,
        public string $start,
        public string $end,
        public string $minutes,
        public ?string $period,
        public string $value,
    ) {
    }

    /**
     * @param  list<FreeTime>  $free
     * @return list<self> for a series, whose session of this day is moved along
     */
    public static function ofSeries(array $free, LocalDate $day): array
    {
        return array_map(
            fn (FreeTime $f): self => self::from($f, Say::this($f->when()), new LocalDate($day->day + $f->shift)),
            $free,
        );
    }

    /**
     * @param  list<FreeTime>  $free
     * @return list<self> for one session, each on a day of its own
     */
    public static function ofOne(array $free): array
    {
        return array_map(function (FreeTime $f): self {
            $day = new LocalDate($f->firstDay);
            $times = TypedTime::format($f->start).'–'.TypedTime::format($f->start + $f->minutes);

            return self::from($f, Say::day($day)." $times", $day);
        }, $free);
    }

    private static function from(FreeTime $f, string $words, LocalDate $day): self
    {
        return new self(
            $words,
            Say::this($f->cost()),
            $f->isClear() && $f->short === 0 && $f->outside === 0,
            $day->iso(),
            TypedTime::format($f->start),
            TypedTime::format($f->start + $f->minutes),
            "$f->start $f->minutes $f->shift",
            $f->period,
            "{$day->iso()} $f->start $f->minutes $f->students",
        );
    }
}
