<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\TeacherWishRow;
use Nomada\Core\Fault;

/** Notes the times of the week at which teachers would rather not teach. */
final class KeepWishes
{
    private const MOST = 40;

    /**
     * @param  int  $weekday  1 (Monday) to 7
     * @param  int  $from  minutes from midnight, as $to
     *
     * @throws Fault
     */
    public function add(Person $teacher, int $weekday, int $from, int $to): void
    {
        if ($to <= $from) {
            throw new Fault('solver.hours', 'wish_close');
        }
        if (TeacherWishRow::query()->where('person_id', $teacher->id)->count() >= self::MOST) {
            throw new Fault('wishes.many', 'wish_weekday', ['n' => self::MOST]);
        }
        TeacherWishRow::query()->firstOrCreate([
            'person_id' => $teacher->id,
            'weekday' => $weekday,
            'from_minute' => $from,
            'to_minute' => $to,
        ]);
    }

    public function remove(TeacherWishRow $wish): void
    {
        $wish->delete();
    }

    /** A rule is kept by every answer of the solver; a wish only counts as cost. */
    public function makeRule(TeacherWishRow $wish, bool $isRule): void
    {
        $wish->update(['is_rule' => $isRule]);
    }
}
