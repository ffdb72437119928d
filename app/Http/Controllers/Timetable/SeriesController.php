<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\DeleteSeries;
use Nomada\App\Actions\Timetable\SaveSeries;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\SeriesRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\SeriesPreview;

final class SeriesController extends Controller
{
    /** What the pattern in the editor makes, before anything is saved. */
    public function preview(SeriesRequest $request, Section $section, SeriesPreview $preview): View
    {
        $series = $section->series()->find($request->integer('series'))?->setRelation('section', $section);

        return view('timetable.series-preview', [
            'page' => $preview->page($section, $request->plan($section, $series), $series, $request->from($series)),
        ]);
    }

    public function store(SeriesRequest $request, Section $section, SaveSeries $save): RedirectResponse
    {
        $series = $save(
            $section,
            $request->plan($section, null),
            (string) $request->input('title'),
            null,
            $this->person($request),
        );

        return redirect()->route('section', $section)->with(
            'said',
            (string) __('said.series.planned', [
                'title' => $series->title,
                'sentence' => Say::this($series->stretches()->said()),
            ]),
        );
    }

    public function update(
        SeriesRequest $request,
        Section $section,
        Series $series,
        SaveSeries $save,
    ): RedirectResponse {
        // Both changes stand: the plan that somebody else has saved meanwhile, and this title.
        if ($request->boolean('keep_plan')) {
            $save->rename($series, (string) $request->input('title'), $this->person($request));

            return redirect()->route('section', $section)->with(
                'said',
                (string) __('said.series.saved', [
                    'title' => $series->title,
                    'sentence' => Say::this($series->stretches()->said()),
                ]),
            );
        }
        $save(
            $section,
            $request->plan($section, $series),
            (string) $request->input('title'),
            $series,
            $this->person($request),
            $request->from($series),
        );

        return redirect()->route('section', $section)->with(
            'said',
            (string) __('said.series.saved', [
                'title' => $series->title,
                'sentence' => Say::this($series->stretches()->said()),
            ]),
        );
    }

    public function destroy(
        Request $request,
        Section $section,
        Series $series,
        DeleteSeries $delete,
    ): RedirectResponse {
        $delete($series, $this->person($request));

        return redirect()
            ->route('section', $section)
            ->with('said', (string) __('said.series.deleted_what_had', ['title' => $series->title]));
    }
}
