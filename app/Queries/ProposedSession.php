<?php

declare(strict_types=1);

namespace Nomada\App\Queries;

use Nomada\App\Models\Timetable\Series;
use Nomada\Core\Term\Zone;
use Nomada\Core\Timetable\FreeTime;

/**
 * A session that is only proposed: the people of its series and its host account are busy while others are proposed.
 */
final readonly class ProposedSession
{
    /**
     * @param  int  $id  of the lost session that it makes up
     * @param  list<int>  $sections
     * @param  int  $day  day number
     * @param  int  $start  UTC seconds; $end likewise
     */
    private function __construct(
        public int $id,
        public array $sections,
        public ?int $account,
        public int $day,
        public int $start,
        public int $end,
    ) {
    }

    public static function at(FreeTime $time, Series $series, int $lost): self
    {
        $start = Zone::named($series->time_zone)->instant($time->firstDay, $time->start);

        return new self(
            $lost,
            $series->sectionIds(),
            $series->host_account_id,
            $time->firstDay,
            $start,
            $start + 60 * $time->minutes,
        );
    }

    /**
     * @return list<object{id: string, section_id: int, teacher_id: null, n: int, starts: int, ends: int}> by section
     */
    public function rows(): array
    {
        return array_map(
            fn (int $section): \stdClass => (object) [
                'id' => "proposed $this->id",
                'section_id' => $section,
                'teacher_id' => null,
                'n' => $this->day,
                'starts' => $this->start,
                'ends' => $this->end,
            ],
            $this->sections,
        );
    }
}
