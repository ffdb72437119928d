<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Timetable\KeepSeriesToPlace;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\SeriesToPlaceRequest;
use Nomada\App\Http\Requests\WhyNotRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\SeriesToPlace;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\BusyRow;
use Nomada\Core\Fault;

/** Series of a section that have no time yet. */
final class SeriesToPlaceController extends Controller
{
    public function store(
        SeriesToPlaceRequest $request,
        Section $section,
        KeepSeriesToPlace $keep,
    ): RedirectResponse {
        $one = $keep->add(
            $section,
            (string) $request->validated('title'),
            (int) $request->validated('per_week'),
            (int) $request->validated('length'),
            ...$request->dates($section),
        );

        return redirect()
            ->route('section', $section)
            ->with('said', (string) __('said.to_place.added', ['title' => $one->title]));
    }

    public function place(
        WhyNotRequest $request,
        Section $section,
        int $seriesToPlace,
        KeepSeriesToPlace $keep,
    ): RedirectResponse {
        $one = SeriesToPlace::ofSection($section, $seriesToPlace);
        [$weekdays, $start] = $request->place();
        if ($start === null) {
            throw new Fault('to_place.start', 'start');
        }
        $series = $keep->place($one, $weekdays, $start, $this->person($request));

        return redirect()->route('section', $section)->with(
            'said',
            (string) __('said.series.planned', [
                'title' => $series->title,
                'sentence' => Say::this($series->stretches()->said()),
            ]),
        );
    }

    /** When its people are busy in a week, for the drawing into which it is dragged. */
    public function busy(Request $request, Section $section, int $seriesToPlace, BusyRow $busy): JsonResponse
    {
        $one = SeriesToPlace::ofSection($section, $seriesToPlace);
        $section->loadMissing(['term.school', 'term.closures']);

        return response()->json(
            ['minutes' => $one->minutes] + $busy->ofSection($section, (string) $request->query('day', '')),
        );
    }

    public function destroy(Section $section, int $seriesToPlace, KeepSeriesToPlace $keep): RedirectResponse
    {
        $one = SeriesToPlace::ofSection($section, $seriesToPlace);
        $keep->remove($one);

        return redirect()
            ->route('section', $section)
            ->with('said', (string) __('said.to_place.removed', ['title' => $one->title]));
    }
}
