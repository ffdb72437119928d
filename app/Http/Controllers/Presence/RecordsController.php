<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Presence;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Presence\KeepRules;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\DayRequest;
use Nomada\App\View\LaterRows;
use Nomada\App\View\Presence\RecordsPage;
use Nomada\Core\Presence\AttendanceRules;

final class RecordsController extends Controller
{
    public function __invoke(DayRequest $request, RecordsPage $page): View
    {
        return view('presence.records', [
            'page' => $page->of($this->term(), $this->person($request), $request->day()),
        ]);
    }

    /** Sections that have come into sight. */
    public function rows(Request $request, RecordsPage $page): View
    {
        return view('rows', [
            'page' => $page->rows($this->term(), $this->person($request), LaterRows::asked($request)),
            'row' => 'presence.records.section',
        ]);
    }

    /** From when on somebody is late, present, absent; and for how long recordings are kept. */
    public function rules(Request $request, KeepRules $keep): RedirectResponse
    {
        $given = $request->validate(
            [
                'late_after' => ['required', 'integer'],
                'present_from' => ['required', 'integer'],
                'absent_under' => ['required', 'integer'],
                'recordings_days' => ['required', 'integer', 'between:1,3650'],
                'substitute_days' => ['required', 'integer', 'between:0,365'],
            ],
            [
                'recordings_days.*' => __('presence.rules.days_fault'),
                'substitute_days.*' => __('presence.rules.substitute_fault'),
                '*' => __('presence.rules.fault'),
            ],
        );
        $keep(
            $this->term()->school,
            new AttendanceRules(
                (int) $given['late_after'],
                (int) $given['present_from'],
                (int) $given['absent_under'],
            ),
            (int) $given['recordings_days'],
            (int) $given['substitute_days'],
            $this->person($request),
        );

        return redirect()->route('records')->with('said', __('presence.rules.said'));
    }
}
