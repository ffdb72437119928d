<?php

declare(strict_types=1);

namespace Nomada\App\View\Timetable\Fix;

use Illuminate\Database\Eloquent\Collection;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\Core\Timetable\SeriesPlan;
use Nomada\Core\Timetable\Solver\PlacesOfSeries;

/** A series as the solver's answers name it: one of the timetable, or one that has no time yet. */
final readonly class FixSeries
{
    /**
     * @param  int  $number  in the solver's problem
     * @param  string  $code  of its section
     * @param  SeriesPlan|null  $plan  null where it has no time yet
     * @param  SeriesToPlace|null  $toPlace  what is needed, where it has none
     */
    public function __construct(
        public int $number,
        public int $section,
        public string $name,
        public string $code,
        public string $sectionName,
        public ?SeriesPlan $plan,
        public ?SeriesToPlace $toPlace = null,
    ) {
    }

    /** @return array<int, self> by number */
    public static function ofTerm(Term $term): array
    {
        /** @var Collection<int, Series> $timetabled */
        $timetabled = Series::query()
            ->with('section')
            ->whereRelation('section', 'term_id', $term->id)
            ->orderBy('id')
            ->get();
        $out = [];
        foreach ($timetabled as $one) {
            $out[$one->id] = self::of($one->id, $one->section, $one->title, $one->stretches()->last());
        }

        return $out + self::toPlace($term);
    }

    /** @return array<int, self> those that have no time yet, by number */
    public static function toPlace(Term $term): array
    {
        $out = [];
        foreach (SeriesToPlace::ofTerm($term)->get() as $one) {
            $out[$one->number()] = self::of($one->number(), $one->section, $one->title, null, $one);
        }

        return $out;
    }

    private static function of(
        int $number,
        Section $section,
        string $title,
        ?SeriesPlan $plan,
        ?SeriesToPlace $toPlace = null,
    ): self {
        $name = $section->name();

        return new self(
            $number,
            $section->id,
            $name.($title === $section->title ? '' : ", $title"),
            $section->sourced_id,
            $name,
            $plan,
            $toPlace,
        );
    }

    /** Sessions a week on different days; null where its pattern has no weekdays. */
    public function perWeek(): ?int
    {
        $days = $this->plan === null ? [] : PlacesOfSeries::weekdaysOf($this->plan);

        return $this->toPlace->per_week ?? ($days === [] ? null : count($days));
    }

    /** `Thu 10:30–11:15`; words for having no time yet */
    public function when(): string
    {
        return $this->plan === null ? (string) __('fix.no_time') : self::whenOf($this->plan);
    }

    public static function whenOf(SeriesPlan $plan): string
    {
        return FixDrawing::when(
            PlacesOfSeries::weekdaysOf($plan),
            $plan->startMinute,
            $plan->startMinute + $plan->minutes,
        );
    }
}
