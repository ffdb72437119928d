<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Timetable\WeekFilter;
use Nomada\App\View\Timetable\WeekPage;
use Nomada\App\View\Timetable\WeekSheets;

final class TimetableController extends Controller
{
    public function __invoke(Request $request, WeekPage $page): View
    {
        return view(
            'timetable.week',
            $page->data(
                $this->term(),
                $this->person($request),
                $request->integer('week'),
                (string) $request->query('by', 'teacher'),
                (string) $request->query('day', ''),
                (string) $request->query('clock', ''),
                $request->integer('session'),
                WeekFilter::of($request),
            ),
        );
    }

    /** The week as it is printed. */
    public function sheets(Request $request, WeekPage $page): View
    {
        $filter = WeekFilter::of($request);
        $data = $page->data(
            $this->term(),
            $this->person($request),
            $request->integer('week'),
            (string) $request->query('by', 'teacher'),
            '',
            '',
            0,
            $filter,
        );

        return view('timetable.sheets', [
            'page' => WeekSheets::of($data['rows'], $filter->isOfOne()),
            'here' => ['week' => $data['week'], 'by' => $data['by']] + $filter->query(),
            // What the drawing of a week on the screen has besides: nothing is chosen, and nothing is moved.
            'chosen' => 0,
            'theirs' => null,
            'left' => WeekPage::LEFT,
            'top' => WeekSheets::TOP,
            'h' => WeekPage::ROW - 8,
            'base' => url('/sections'),
        ] + $data);
    }
}
