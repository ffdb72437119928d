<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Timetable;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Support\Locks;
use Nomada\Core\Fault;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\WeeklyPattern;

/** Notes that a section needs a series whose time is still to be found, and forgets it. */
final readonly class KeepSeriesToPlace
{
    public function __construct(private SaveSeries $save)
    {
    }

    /**
     * @param  LocalDate|null  $until  null for the end of the term
     *
     * @throws Fault where it cannot be held as it is described, or the section has one of that title
     */
    public function add(
        Section $section,
        string $title,
        int $perWeek,
        int $minutes,
        LocalDate $from,
        ?LocalDate $until,
    ): SeriesToPlace {
        $title = trim($title) === '' ? $section->title : trim($title);
        $term = $section->term->calendar();
        if ($perWeek < 1 || $perWeek > count($term->weekdays())) {
            throw new Fault('to_place.per_week', 'per_week', ['n' => count($term->weekdays())]);
        }
        if ($minutes < 1 || $minutes > SeriesPlan::LONGEST) {
            throw new Fault('to_place.minutes', 'length', ['n' => SeriesPlan::LONGEST]);
        }
        if ($until !== null && $until->day < $from->day) {
            throw new Fault('to_place.until', 'until');
        }

        return DB::transaction(function () use (
            $section,
            $title,
            $perWeek,
            $minutes,
            $from,
            $until,
        ): SeriesToPlace {
            Locks::timetable($section->term_id);
            $isTaken =
                Series::query()->where('section_id', $section->id)->where('title', $title)->exists() ||
                SeriesToPlace::query()->where('section_id', $section->id)->where('title', $title)->exists();
            if ($isTaken) {
                throw new Fault('series.title', 'title', ['title' => $title]);
            }

            return SeriesToPlace::query()->create([
                'section_id' => $section->id,
                'title' => $title,
                'per_week' => $perWeek,
                'minutes' => $minutes,
                'starts_on' => $from->iso(),
                'ends_on' => $until?->iso(),
            ]);
        });
    }

    /**
     * Gives one a time by hand.
     *
     * @param  list<int>  $weekdays  as many as it has sessions a week
     * @param  int  $start  minutes from midnight on the school's clock
     *
     * @throws Fault where the days are not as many, or a session would go beyond midnight
     */
    public function place(SeriesToPlace $one, array $weekdays, int $start, Person $by): Series
    {
        return DB::transaction(function () use ($one, $weekdays, $start, $by): Series {
            // Somebody else may be giving it a time, or be removing it.
            Locks::timetable($one->section->term_id);

            return $this->give(SeriesToPlace::query()->findOrFail($one->id), $weekdays, $start, $by);
        });
    }

    /** @param  list<int>  $weekdays */
    private function give(SeriesToPlace $one, array $weekdays, int $start, Person $by): Series
    {
        if (count($weekdays) !== $one->per_week) {
            throw new Fault('to_place.days', 'weekdays', ['n' => $one->per_week]);
        }
        $section = $one->section->loadMissing(['term.school', 'term.closures']);
        $plan = $one->plan($section->term);

        return ($this->save)(
            $section,
            new SeriesPlan(
                new WeeklyPattern($weekdays),
                $plan->from,
                $plan->end,
                $start,
                $plan->minutes,
                $plan->zone,
            ),
            $one->title,
            null,
            $by,
            null,
            $one,
        );
    }

    public function remove(SeriesToPlace $one): void
    {
        $one->delete();
    }
}
