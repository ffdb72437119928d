<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Publishing\KeepShowing;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\ShowingRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\View\Publishing\ShowingQuery;

/** Display settings of the school, and of one section. */
final class ShowingController extends Controller
{
    public function school(ShowingQuery $page): View
    {
        return view('publishing.showing', ['page' => $page->ofSchool()]);
    }

    public function section(Section $section, ShowingQuery $page): View
    {
        return view('publishing.showing', ['page' => $page->ofSection($section)]);
    }

    public function keepSchool(ShowingRequest $request, KeepShowing $keep): RedirectResponse
    {
        $keep->ofSchool($request->rulesOf(), $this->person($request), $request->validated('started_told'));

        return redirect()->route('showing')->with('said', __('showing.kept_school'));
    }

    public function keepSection(ShowingRequest $request, Section $section, KeepShowing $keep): RedirectResponse
    {
        $keep->ofSection($section, $request->rulesOf(), $this->person($request));

        return redirect()->route('showing.section', $section)->with('said', __('showing.kept'));
    }

    /** As the school has it. */
    public function reset(Request $request, Section $section, KeepShowing $keep): RedirectResponse
    {
        $keep->ofSection($section, [], $this->person($request));

        return redirect()->route('showing.section', $section)->with('said', __('showing.kept'));
    }
}
