<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Timetable\CancelSession;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;

final class SessionController extends Controller
{
    public function cancel(Request $request, Section $section, Series $series, Session $session, CancelSession $cancel): RedirectResponse
    {
        $given = $request->validate(['reason' => ['nullable', 'string', 'max:160']], ['reason.max' => 'A reason has 160 characters at most.']);
        $cancel($session, (string) ($given['reason'] ?? ''));

        return redirect()->route('section', $section)->with('said', 'The session is cancelled. Students read it at the door now, and everywhere else after the next publish run.');
    }

    public function restore(Section $section, Series $series, Session $session, CancelSession $cancel): RedirectResponse
    {
        $cancel->restore($session);

        return redirect()->route('section', $section)->with('said', 'The session is held after all.');
    }
}
