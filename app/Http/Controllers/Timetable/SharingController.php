<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Timetable\ChangeByTeacher;
use Nomada\App\Actions\Timetable\ShareSeries;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\TopicsRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\ChangeRequest;
use Nomada\App\Models\Timetable\Series;

/** What a series carries beside its pattern: the sections that share it, and its topics. */
final class SharingController extends Controller
{
    public function store(Request $request, Section $section, Series $series, ShareSeries $share): RedirectResponse
    {
        $given = $request->validate(
            ['share' => ['required', 'string', 'exists:sections,sourced_id']],
            ['share.*' => (string) __('said.sharing.choose_section_shares')],
        );
        $other = Section::bySourcedId($given['share']);
        $share($series->load('section'), $other, $this->person($request));

        return redirect()
            ->route('section', $section)
            ->with(
                'said',
                (string) __('said.sharing.meets_too', ['name' => $other->name(), 'title' => $series->title]),
            );
    }

    public function destroy(
        Request $request,
        Section $section,
        Series $series,
        Section $other,
        ShareSeries $share,
    ): RedirectResponse {
        $share->leave($series->load('section'), $other, $this->person($request));

        return redirect()
            ->route('section', $other->id === $section->id ? $series->section : $section)
            ->with(
                'said',
                (string) __('said.sharing.no_longer_meets', ['name' => $other->name(), 'title' => $series->title]),
            );
    }

    public function topics(
        TopicsRequest $request,
        Section $section,
        Series $series,
        ChangeByTeacher $change,
    ): RedirectResponse {
        $form = $request->change();
        $left = $change($this->person($request), $section, $series->load('section'), null, $form);
        $said =
            $left instanceof ChangeRequest
                ? __('said.request.asked')
                : __('said.sharing.topics').($left > 0 ? ' '.trans_choice('said.sharing.left', $left) : '');

        return redirect()->route('section', $section)->with('said', $said);
    }
}
