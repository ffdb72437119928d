<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Nomada\App\Actions\Timetable\KeepSeriesToPlace;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\SeriesToPlaceRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\SeriesToPlace;

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

    public function destroy(Section $section, int $seriesToPlace, KeepSeriesToPlace $keep): RedirectResponse
    {
        $one = SeriesToPlace::ofSection($section, $seriesToPlace);
        $keep->remove($one);

        return redirect()
            ->route('section', $section)
            ->with('said', (string) __('said.to_place.removed', ['title' => $one->title]));
    }
}
