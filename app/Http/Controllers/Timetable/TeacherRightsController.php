<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\SetTeacherRights;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\TeacherRightsRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\View\Requests\RightsPage;

/** What teachers may do to the timetable. */
final class TeacherRightsController extends Controller
{
    public function show(Request $request): View
    {
        $id = (string) $request->query('section', '');

        return view('requests.rights', [
            'page' => RightsPage::of($this->term(), $id === '' ? null : Section::bySourcedId($id)),
        ]);
    }

    public function update(TeacherRightsRequest $request, SetTeacherRights $set): RedirectResponse
    {
        $set->ofSchool($request->rights());

        return redirect()->route('rights')->with('said', (string) __('said.rights.saved'));
    }

    public function override(
        TeacherRightsRequest $request,
        Section $section,
        SetTeacherRights $set,
    ): RedirectResponse {
        $set->ofSection($section, $request->boolean('as_school') ? null : $request->rights());

        return redirect()
            ->route('rights', ['section' => $section->sourced_id])
            ->with('said', (string) __('said.rights.saved_of', ['section' => $section->name()]));
    }
}
