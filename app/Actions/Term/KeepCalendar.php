<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\DayPlanRow;
use Nomada\App\Models\Term\OpenedDay;
use Nomada\App\Models\Term\ShortDayRow;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Fault;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;

/**
 * Keeps a term's day plans, short days, opened weekend days, rotation days and open hours; the sessions follow each
 * change.
 *
 * @phpstan-import-type Effect from FollowCalendar
 */
final readonly class KeepCalendar
{
    public function __construct(private FollowCalendar $follow)
    {
    }

    /**
     * Saves a day plan. The first of a term is its usual one.
     *
     * @return Effect
     *
     * @throws Fault where the term has another plan of that name
     */
    public function plan(Term $term, DayPlan $plan, bool $isUsual, ?DayPlanRow $row): array
    {
        if (
            DayPlanRow::query()
                ->where('term_id', $term->id)
                ->where('name', $plan->name)
                ->when($row !== null, fn ($q) => $q->whereKeyNot($row?->id))
                ->exists()
        ) {
            throw new Fault("There is a day plan called \"$plan->name\" already.", 'plan_name');
        }

        return $this->changed($term, function () use ($term, $plan, $isUsual, $row): void {
            $isUsual =
                $isUsual ||
                ($row->is_usual ?? false) ||
                DayPlanRow::query()->where('term_id', $term->id)->doesntExist();
            if ($isUsual) {
                DayPlanRow::query()
                    ->where('term_id', $term->id)
                    ->when($row !== null, fn ($q) => $q->whereKeyNot($row?->id))
                    ->update(['is_usual' => false]);
            }
            ($row ?? new DayPlanRow(['term_id' => $term->id]))
                ->fill(['name' => $plan->name, 'periods' => $plan->toArray(), 'is_usual' => $isUsual])
                ->save();
        });
    }

    /**
     * @return Effect
     *
     * @throws Fault where days or series go by it
     */
    public function dropPlan(Term $term, DayPlanRow $row): array
    {
        if (ShortDayRow::query()->where('day_plan_id', $row->id)->exists()) {
            throw new Fault("Short days go by \"$row->name\". Take them out first.", 'plan_name');
        }
        if (
            $row->is_usual &&
            DB::table('series')
                ->join('sections', 'sections.id', '=', 'section_id')
                ->where('term_id', $term->id)
                ->whereNotNull('period')
                ->exists()
        ) {
            throw new Fault(
                'Series are tied to periods of this plan. Give them clock times first, or make another plan the usual '.
                    'one.',
                'plan_name',
            );
        }

        return $this->changed($term, fn () => $row->delete());
    }

    /**
     * @return Effect
     *
     * @throws Fault where the day is closed, outside the term, or short already
     */
    public function shorten(Term $term, LocalDate $day, DayPlanRow $plan, string $reason): array
    {
        $calendar = $term->calendar();
        $why = $calendar->closedBecause($day->day);
        if ($why !== null) {
            throw new Fault("{$day->short()} is closed: $why. A short day is an open one.", 'short_day');
        }
        if ($calendar->shortDay($day->day) !== null) {
            throw new Fault("{$day->short()} is short already.", 'short_day');
        }
        if (trim($reason) === '') {
            throw new Fault('Write why the day is short; everybody reads it.', 'short_reason');
        }

        return $this->changed(
            $term,
            fn () => ShortDayRow::query()->create([
                'term_id' => $term->id,
                'day_plan_id' => $plan->id,
                'day' => $day->iso(),
                'reason' => trim($reason),
            ]),
        );
    }

    /** @return Effect */
    public function lengthen(Term $term, ShortDayRow $row): array
    {
        return $this->changed($term, fn () => $row->delete());
    }

    /**
     * Holds school on a weekend day.
     *
     * @return Effect
     *
     * @throws Fault where it is none, or open already
     */
    public function open(Term $term, LocalDate $day): array
    {
        $calendar = $term->calendar();
        if (! $calendar->contains($day->day) || $day->weekday() < 6) {
            throw new Fault('Choose a Saturday or Sunday of the term.', 'open_day');
        }
        if ($calendar->isOpen($day->day)) {
            throw new Fault("{$day->short()} is open already.", 'open_day');
        }

        return $this->changed(
            $term,
            fn () => OpenedDay::query()->create(['term_id' => $term->id, 'day' => $day->iso()]),
        );
    }

    /** @return Effect */
    public function shut(Term $term, OpenedDay $row): array
    {
        return $this->changed($term, fn () => $row->delete());
    }

    /**
     * @param  Rotation|null  $rotation  null for none
     * @return Effect
     *
     * @throws Fault where a pin is on a day that does not count
     */
    public function rotate(Term $term, ?Rotation $rotation): array
    {
        $calendar = $term->calendar();
        foreach ($rotation->pins ?? [] as $day => $number) {
            if (! $calendar->contains($day) || ($rotation?->byWeek === false && ! $calendar->isOpen($day))) {
                throw new Fault(
                    (new LocalDate($day))->short().' is no open day of the term, and cannot be a rotation day.',
                    'pin_day',
                );
            }
        }

        return $this->changed($term, fn () => $term->update(['rotation' => $rotation?->toArray()]));
    }

    /**
     * @return Effect
     *
     * @throws Fault where the day would end before it begins
     */
    public function hours(Term $term, int $opens, int $closes): array
    {
        if ($closes <= $opens) {
            throw new Fault('School would shut before it opens. Write a later end.', 'closes');
        }

        return $this->changed($term, fn () => $term->update(['opens_minute' => $opens, 'closes_minute' => $closes]));
    }

    /** @return Effect */
    private function changed(Term $term, callable $change): array
    {
        return DB::transaction(function () use ($term, $change): array {
            $change();

            return ($this->follow)($term);
        });
    }
}
