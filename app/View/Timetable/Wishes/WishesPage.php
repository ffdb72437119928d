<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Wishes;

use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\TeacherWishRow;
use Nomada\App\Support\Say;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\Term;
use Nomada\Core\Term\TypedTime;

/** Times at which teachers would rather not teach: a teacher's own, or all of them for a coordinator. */
final readonly class WishesPage
{
    /**
     * @param  list<array{id: int, teacher: string, when: string, isRule: bool}>  $wishes
     * @param  array<int, string>  $teachers  for whom a coordinator may add one, by id; empty for a teacher
     * @param  array<int, string>  $weekdays  of the term
     */
    private function __construct(public array $wishes, public array $teachers, public array $weekdays)
    {
    }

    public static function of(Person $for, Term $term): self
    {
        $weekdays = [];
        foreach ($term->weekdays() as $weekday) {
            $weekdays[$weekday] = Say::this(Said::weekdayName($weekday));
        }
        $teachers = [];
        foreach ($for->isCoordinator() ? Person::teachers() : [] as $teacher) {
            $teachers[$teacher->id] = $teacher->name();
        }
        $wishes = [];
        foreach (
            TeacherWishRow::query()
                ->with('person')
                ->when(! $for->isCoordinator(), fn ($q) => $q->where('person_id', $for->id))
                ->orderBy('person_id')
                ->orderBy('weekday')
                ->orderBy('from_minute')
                ->get() as $row
        ) {
            $isWhole = $row->from_minute === 0 && $row->to_minute === 1440;
            $time =
                TypedTime::format($row->from_minute).
                '–'.
                ($row->to_minute === 1440 ? '24:00' : TypedTime::format($row->to_minute));
            $wishes[] = [
                'id' => $row->id,
                'teacher' => $row->person->name(),
                'when' => Say::this(Said::weekdayName($row->weekday)).
                    ', '.
                    ($isWhole ? __('wishes.whole_day') : $time),
                'isRule' => $row->is_rule,
            ];
        }

        return new self($wishes, $teachers, $weekdays);
    }
}
