<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Presence;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\StartNow;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\View\Presence\TodayPage;

final class TodayController extends Controller
{
    public function __invoke(Request $request, TodayPage $page): View
    {
        return view(
            'presence.today',
            $page->data($this->term(), $this->person($request), (string) $request->query('date', '')),
        );
    }

    /** A session that begins now, outside the timetable. */
    public function start(Request $request, StartNow $start): RedirectResponse
    {
        $given = $request->validate(
            ['section' => ['required', 'string', 'max:80'], 'minutes' => ['required', 'integer', 'between:5,240']],
            ['section.*' => __('presence.start.section_fault'), 'minutes.*' => __('presence.start.minutes_fault')],
        );
        $section = Section::query()->with('term.school')->where('sourced_id', $given['section'])->firstOrFail();
        $this->authorize('serve', $section);

        return redirect()->route('live', $start($section, (int) $given['minutes'], $this->person($request))->id);
    }
}
