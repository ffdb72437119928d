<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Term\CalendarEffect;
use Nomada\App\Actions\Term\ChangeCalendar;
use Nomada\App\Actions\Term\KeepCalendar;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\CalendarRequest;
use Nomada\App\Models\Term\DayPlanRow;
use Nomada\App\Models\Term\OpenedDay;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\ShortDayRow;
use Nomada\App\Models\Term\TermChange;
use Nomada\App\Support\Say;

/**
 * Day plans, short days, opened days, rotation days and open hours of the term. With `look` nothing is saved: what it
 * would change is told.
 */
final class CalendarController extends Controller
{
    public function plan(CalendarRequest $request, KeepCalendar $keep): RedirectResponse
    {
        $row = $request->filled('plan')
            ? DayPlanRow::inTerm($this->term(), $request->integer('plan'))
            : null;
        $plan = $request->dayPlan();

        return $this->changed(
            $request,
            (string) __('said.calendar.plan', ['name' => $plan->name]),
            fn (Person $by, bool $looks): CalendarEffect => $keep->plan(
                $this->term(),
                $plan,
                $request->boolean('is_usual'),
                $row,
                $by,
                $looks,
            ),
        );
    }

    public function dropPlan(Request $request, int $plan, KeepCalendar $keep): RedirectResponse
    {
        $row = DayPlanRow::inTerm($this->term(), $plan);

        return $this->changed(
            $request,
            (string) __('said.calendar.plan_out', ['name' => $row->name]),
            fn (Person $by, bool $looks): CalendarEffect => $keep->dropPlan($this->term(), $row, $by, $looks),
        );
    }

    public function shorten(CalendarRequest $request, KeepCalendar $keep): RedirectResponse
    {
        $plan = DayPlanRow::inTerm($this->term(), $request->integer('short_plan'));
        $day = $request->day('short_day');

        return $this->changed(
            $request,
            (string) __('said.calendar.short', ['day' => Say::day($day)]),
            fn (Person $by, bool $looks): CalendarEffect => $keep->shorten(
                $this->term(),
                $day,
                $plan,
                (string) $request->input('short_reason'),
                $by,
                $looks,
            ),
        );
    }

    public function lengthen(Request $request, int $day, KeepCalendar $keep): RedirectResponse
    {
        $row = ShortDayRow::inTerm($this->term(), $day);

        return $this->changed(
            $request,
            (string) __('said.calendar.usual'),
            fn (Person $by, bool $looks): CalendarEffect => $keep->lengthen($this->term(), $row, $by, $looks),
        );
    }

    public function open(CalendarRequest $request, KeepCalendar $keep): RedirectResponse
    {
        $day = $request->day('open_day');

        return $this->changed(
            $request,
            (string) __('said.calendar.open', ['day' => Say::day($day)]),
            fn (Person $by, bool $looks): CalendarEffect => $keep->open($this->term(), $day, $by, $looks),
        );
    }

    public function shut(Request $request, int $day, KeepCalendar $keep): RedirectResponse
    {
        $row = OpenedDay::inTerm($this->term(), $day);

        return $this->changed(
            $request,
            (string) __('said.calendar.closed'),
            fn (Person $by, bool $looks): CalendarEffect => $keep->shut($this->term(), $row, $by, $looks),
        );
    }

    public function rotate(CalendarRequest $request, KeepCalendar $keep): RedirectResponse
    {
        $rotation = $request->rotation($this->term()->calendar()->rotation);

        return $this->changed(
            $request,
            (string) __($rotation === null ? 'said.calendar.no_rotation' : 'said.calendar.rotation'),
            fn (Person $by, bool $looks): CalendarEffect => $keep->rotate($this->term(), $rotation, $by, $looks),
        );
    }

    public function hours(CalendarRequest $request, KeepCalendar $keep): RedirectResponse
    {
        [$opens, $closes] = $request->hours();

        return $this->changed(
            $request,
            (string) __('said.calendar.hours'),
            fn (Person $by, bool $looks): CalendarEffect => $keep->hours(
                $this->term(),
                $opens,
                $closes,
                $by,
                $looks,
            ),
        );
    }

    /** @param  callable(Person, bool): CalendarEffect  $change */
    private function changed(Request $request, string $what, callable $change): RedirectResponse
    {
        $looks = $request->boolean('look');
        $effect = $change($this->person($request), $looks);

        return $looks
            ? redirect()
                ->route('term')
                ->withInput()
                ->with('look', (string) __('said.calendar.before', ['effect' => $effect->words()]))
            : redirect()
                ->route('term')
                ->with('said', (string) __('said.calendar.then', ['what' => $what, 'effect' => $effect->words()]));
    }

    /** Undoes one change of the calendar as a whole. */
    public function undo(Request $request, int $change, ChangeCalendar $calendar): RedirectResponse
    {
        $found = TermChange::inTerm($this->term(), $change);
        $effect = $calendar->undo($found, $this->person($request));

        return redirect()
            ->route('term')
            ->with('said', (string) __('said.history.undone', ['what' => "{$found->line()}: {$effect->words()}"]));
    }
}
