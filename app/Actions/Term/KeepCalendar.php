<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Term;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\DayPlanRow;
use Nomada\App\Models\Term\OpenedDay;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\ShortDayRow;
use Nomada\App\Models\Term\Term;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Term\DayPlan;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Term\Rotation;

/**
 * Keeps a term's day plans, short days, opened weekend days, rotation days and open hours; the sessions follow each
 * change.
 */
final readonly class KeepCalendar
{
    public function __construct(private ChangeCalendar $change)
    {
    }

    /**
     * Saves a day plan. The first of a term is its usual one.
     *
     * @throws Fault where the term has another plan of that name
     */
    public function plan(
        Term $term,
        DayPlan $plan,
        bool $isUsual,
        ?DayPlanRow $row,
        ?Person $by = null,
        bool $looks = false,
    ): CalendarEffect {
        if (
            DayPlanRow::query()
                ->where('term_id', $term->id)
                ->where('name', $plan->name)
                ->when($row !== null, fn ($q) => $q->whereKeyNot($row?->id))
                ->exists()
        ) {
            throw new Fault('plan.taken', 'plan_name', ['plan' => $plan->name]);
        }

        return $this->changed($term, new Said('history.plan', ['plan' => $plan->name]), $by, $looks, function () use (
            $term,
            $plan,
            $isUsual,
            $row,
        ): void {
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
     * @throws Fault where days or series go by it
     */
    public function dropPlan(Term $term, DayPlanRow $row, ?Person $by = null, bool $looks = false): CalendarEffect
    {
        if (ShortDayRow::query()->where('day_plan_id', $row->id)->exists()) {
            throw new Fault('plan.short_days', 'plan_name', ['row' => $row->name]);
        }
        if (
            $row->is_usual &&
            DB::table('series')
                ->join('sections', 'sections.id', '=', 'section_id')
                ->where('term_id', $term->id)
                ->whereNotNull('period')
                ->exists()
        ) {
            throw new Fault('plan.tied', 'plan_name');
        }

        return $this->changed($term, new Said('history.no_plan', [
            'plan' => $row->name,
        ]), $by, $looks, fn () => $row->delete());
    }

    /**
     * @throws Fault where the day is closed, outside the term, or short already
     */
    public function shorten(
        Term $term,
        LocalDate $day,
        DayPlanRow $plan,
        string $reason,
        ?Person $by = null,
        bool $looks = false,
    ): CalendarEffect {
        $calendar = $term->calendar();
        $why = $calendar->closedBecause($day->day);
        if ($why !== null) {
            throw new Fault('short.closed', 'short_day', ['day' => $day, 'why' => $why]);
        }
        if ($calendar->shortDay($day->day) !== null) {
            throw new Fault('short.twice', 'short_day', ['day' => $day]);
        }
        if (trim($reason) === '') {
            throw new Fault('short.why', 'short_reason');
        }

        return $this->changed(
            $term,
            new Said('history.short', ['day' => $day, 'why' => trim($reason)]),
            $by,
            $looks,
            fn () => ShortDayRow::query()->create([
                'term_id' => $term->id,
                'day_plan_id' => $plan->id,
                'day' => $day->iso(),
                'reason' => trim($reason),
            ]),
        );
    }

    public function lengthen(Term $term, ShortDayRow $row, ?Person $by = null, bool $looks = false): CalendarEffect
    {
        return $this->changed(
            $term,
            new Said('history.usual', ['day' => LocalDate::parse($row->day)]),
            $by,
            $looks,
            fn () => $row->delete(),
        );
    }

    /**
     * Holds school on a weekend day.
     *
     * @throws Fault if it is none, or open already
     */
    public function open(Term $term, LocalDate $day, ?Person $by = null, bool $looks = false): CalendarEffect
    {
        $calendar = $term->calendar();
        if (! $calendar->contains($day->day) || $day->weekday() < 6) {
            throw new Fault('open.weekend', 'open_day');
        }
        // One that is open and within closed days stays closed; opening it again would add nothing.
        $isKept = OpenedDay::query()->where('term_id', $term->id)->where('day', $day->iso())->exists();
        if ($isKept || $calendar->isOpen($day->day)) {
            throw new Fault('open.twice', 'open_day', ['day' => $day]);
        }

        return $this->changed(
            $term,
            new Said('history.opened', ['days' => $day]),
            $by,
            $looks,
            fn () => OpenedDay::query()->create(['term_id' => $term->id, 'day' => $day->iso()]),
        );
    }

    public function shut(Term $term, OpenedDay $row, ?Person $by = null, bool $looks = false): CalendarEffect
    {
        return $this->changed(
            $term,
            new Said('history.shut', ['day' => LocalDate::parse($row->day)]),
            $by,
            $looks,
            fn () => $row->delete(),
        );
    }

    /**
     * @param  Rotation|null  $rotation  null for none
     *
     * @throws Fault where a pin is on a day that does not count
     */
    public function rotate(Term $term, ?Rotation $rotation, ?Person $by = null, bool $looks = false): CalendarEffect
    {
        $calendar = $term->calendar();
        foreach ($rotation->pins ?? [] as $day => $number) {
            if (! $calendar->contains($day) || ($rotation?->byWeek === false && ! $calendar->isOpen($day))) {
                throw new Fault('rotation.no_day', 'pin_day', ['day' => new LocalDate($day)]);
            }
        }

        return $this->changed(
            $term,
            new Said($rotation === null ? 'history.no_rotation' : 'history.rotation'),
            $by,
            $looks,
            fn () => $term->update(['rotation' => $rotation?->toArray()]),
        );
    }

    /**
     * @throws Fault where the day would end before it begins
     */
    public function hours(
        Term $term,
        int $opens,
        int $closes,
        ?Person $by = null,
        bool $looks = false,
    ): CalendarEffect {
        if ($closes <= $opens) {
            throw new Fault('short.shuts', 'closes');
        }

        return $this->changed(
            $term,
            new Said('history.hours'),
            $by,
            $looks,
            fn () => $term->update(['opens_minute' => $opens, 'closes_minute' => $closes]),
        );
    }

    /** Looks only where `$looks` says so. */
    private function changed(Term $term, Said $said, ?Person $by, bool $looks, callable $change): CalendarEffect
    {
        return $looks ? $this->change->look($term, $change) : ($this->change)($term, $said, $by, $change);
    }
}
