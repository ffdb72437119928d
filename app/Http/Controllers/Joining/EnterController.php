<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\OwnWay;

/**
 * The way in that pages and feeds at a section's secret address give: it asks who comes, and leads each to their own
 * link. Anybody who has kept such an address after they left learns nothing by it.
 */
final class EnterController extends Controller
{
    public function series(Request $request, int $series, OwnWay $way): RedirectResponse
    {
        return redirect()->to(
            $way->into(Series::findOrFail($series), $this->person($request)) ?? abort(404),
        );
    }

    public function room(Request $request, int $room, OwnWay $way): RedirectResponse
    {
        return redirect()->to(
            $way->intoRoom(DropInRoom::findOrFail($room), $this->person($request)) ?? abort(404),
        );
    }
}
