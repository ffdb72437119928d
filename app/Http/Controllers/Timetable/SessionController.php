<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Timetable\ChangeSession;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\MoveSessionRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;

final class SessionController extends Controller
{
    public function cancel(Request $request, Section $section, Series $series, Session $session, ChangeSession $change): RedirectResponse
    {
        $given = $request->validate(['reason' => ['nullable', 'string', 'max:160']], ['reason.max' => 'A reason has 160 characters at most.']);
        $change->cancel($session, (string) ($given['reason'] ?? ''));

        return redirect()->route('section', $section)->with('said', 'The session is cancelled. Students read it at the door now, and everywhere else after the next publish run.');
    }

    public function restore(Section $section, Series $series, Session $session, ChangeSession $change): RedirectResponse
    {
        $change->restore($session);

        return redirect()->route('section', $section)->with('said', 'The session is held after all.');
    }

    public function move(MoveSessionRequest $request, Section $section, Series $series, Session $session, ChangeSession $change): RedirectResponse
    {
        [$start, $minutes] = $request->times();
        $change->move($session, $request->day(), $start, $minutes);

        return redirect()->route('section', [$section, 'day' => $request->day()->iso()])->with('said', "This one session is moved to {$request->day()->short()}; the rest of the series stays.");
    }
}
