<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Timetable\Fix\FixSeries;
use Nomada\App\View\Timetable\Week\SheetsPage;
use Nomada\App\View\Timetable\Week\WeekFilter;
use Nomada\App\View\Timetable\Week\WeekQuery;

final class TimetableController extends Controller
{
    public function __invoke(Request $request, WeekQuery $week): View
    {
        return view('timetable.week', [
            'page' => $week->page(
                $this->term(),
                $this->person($request),
                $request->integer('week'),
                (string) $request->query('by', 'teacher'),
                (string) $request->query('day', ''),
                (string) $request->query('clock', ''),
                $request->integer('session'),
                WeekFilter::of($request),
            ),
            'toPlace' => $this->person($request)->isCoordinator() ? FixSeries::toPlace($this->term()) : [],
        ]);
    }

    /** The week as it is printed. */
    public function sheets(Request $request, WeekQuery $week): View
    {
        return view('timetable.sheets', [
            'page' => SheetsPage::of(
                $week->page(
                    $this->term(),
                    $this->person($request),
                    $request->integer('week'),
                    (string) $request->query('by', 'teacher'),
                    filter: WeekFilter::of($request),
                ),
            ),
        ]);
    }
}
