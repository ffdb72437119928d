<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Term\FollowCalendar;
use Nomada\App\Actions\Term\KeepCalendar;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\CalendarRequest;
use Nomada\App\Models\Term\DayPlanRow;
use Nomada\App\Models\Term\OpenedDay;
use Nomada\App\Models\Term\ShortDayRow;

/**
 * Day plans, short days, opened days, rotation days and open hours of the term. With `look` nothing is saved: what it
 * would change is told.
 *
 * @phpstan-import-type Effect from FollowCalendar
 */
final class CalendarController extends Controller
{
    public function plan(CalendarRequest $request, KeepCalendar $keep, FollowCalendar $follow): RedirectResponse
    {
        $row = $request->filled('plan')
            ? DayPlanRow::query()->where('term_id', $this->term()->id)->findOrFail($request->integer('plan'))
            : null;
        $plan = $request->dayPlan();

        return $this->changed(
            $request,
            $follow,
            "The day plan {$plan->name}",
            fn (): array => $keep->plan($this->term(), $plan, $request->boolean('is_usual'), $row),
        );
    }

    public function dropPlan(
        Request $request,
        int $plan,
        KeepCalendar $keep,
        FollowCalendar $follow,
    ): RedirectResponse {
        $row = DayPlanRow::query()->where('term_id', $this->term()->id)->findOrFail($plan);

        return $this->changed(
            $request,
            $follow,
            "The day plan {$row->name} is taken out",
            fn (): array => $keep->dropPlan($this->term(), $row),
        );
    }

    public function shorten(CalendarRequest $request, KeepCalendar $keep, FollowCalendar $follow): RedirectResponse
    {
        $plan = DayPlanRow::query()
            ->where('term_id', $this->term()->id)
            ->findOrFail($request->integer('short_plan'));
        $day = $request->day('short_day');

        return $this->changed(
            $request,
            $follow,
            $day->short().' is short',
            fn (): array => $keep->shorten($this->term(), $day, $plan, (string) $request->input('short_reason')),
        );
    }

    public function lengthen(
        Request $request,
        int $day,
        KeepCalendar $keep,
        FollowCalendar $follow,
    ): RedirectResponse {
        $row = ShortDayRow::query()->where('term_id', $this->term()->id)->findOrFail($day);

        return $this->changed(
            $request,
            $follow,
            'The day has its usual plan again',
            fn (): array => $keep->lengthen($this->term(), $row),
        );
    }

    public function open(CalendarRequest $request, KeepCalendar $keep, FollowCalendar $follow): RedirectResponse
    {
        $day = $request->day('open_day');

        return $this->changed(
            $request,
            $follow,
            $day->short().' is open',
            fn (): array => $keep->open($this->term(), $day),
        );
    }

    public function shut(Request $request, int $day, KeepCalendar $keep, FollowCalendar $follow): RedirectResponse
    {
        $row = OpenedDay::query()->where('term_id', $this->term()->id)->findOrFail($day);

        return $this->changed(
            $request,
            $follow,
            'The day is closed again',
            fn (): array => $keep->shut($this->term(), $row),
        );
    }

    public function rotate(CalendarRequest $request, KeepCalendar $keep, FollowCalendar $follow): RedirectResponse
    {
        $rotation = $request->rotation($this->term()->calendar()->rotation);

        return $this->changed(
            $request,
            $follow,
            $rotation === null ? 'There is no rotation' : 'The rotation is saved',
            fn (): array => $keep->rotate($this->term(), $rotation),
        );
    }

    public function hours(CalendarRequest $request, KeepCalendar $keep, FollowCalendar $follow): RedirectResponse
    {
        [$opens, $closes] = $request->hours();

        return $this->changed(
            $request,
            $follow,
            'The open hours are saved',
            fn (): array => $keep->hours($this->term(), $opens, $closes),
        );
    }

    /** @param  callable(): Effect  $change */
    private function changed(
        Request $request,
        FollowCalendar $follow,
        string $what,
        callable $change,
    ): RedirectResponse {
        if ($request->boolean('look')) {
            return redirect()
                ->route('term')
                ->withInput()
                ->with('look', 'Before it is saved: '.FollowCalendar::words($follow->look($change)).'.');
        }
        $effect = $change();

        return redirect()
            ->route('term')
            ->with('said', "$what: ".FollowCalendar::words($effect).'.');
    }
}
