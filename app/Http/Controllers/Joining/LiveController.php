<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Joining\LiveAct;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\View\Joining\LiveDesk;

/** The live desk of a session, and its rehearsal with invented students. */
final class LiveController extends Controller
{
    public function show(Request $request, int $session, LiveDesk $desk): View
    {
        $found = $this->session($session);
        $data = $desk->data($found, $request->boolean('rehearsal'));

        return view($request->ajax() ? 'joining.live-people' : 'joining.live', $data);
    }

    public function act(Request $request, int $session, LiveAct $act): RedirectResponse
    {
        $given = $request->validate(['act' => ['required', 'in:let-in,let-in-all,send-out,give-floor,take-floor,end,rehearse'], 'person' => ['nullable', 'string', 'max:120'], 'rehearsal' => ['nullable', 'boolean']], ['act.*' => 'Choose what is to be done.']);
        $found = $this->session($session);
        $isRehearsal = (bool) ($given['rehearsal'] ?? false);
        $back = redirect()->route('live', array_filter(['session' => $found->id, 'rehearsal' => $isRehearsal ? 1 : null]));
        try {
            return $back->with('said', $act($found, $given['act'], (string) ($given['person'] ?? ''), $isRehearsal, $this->person($request)));
        } catch (DestinationFailure $e) {
            return $back->withErrors(['form' => $e->getMessage()]);
        }
    }

    private function session(int $id): Session
    {
        $session = Session::query()->with(['series.section.term.school', 'series.section.term.closures', 'series.hostAccount.plan'])->findOrFail($id);
        $this->authorize('serve', $session->series->section);

        return $session;
    }
}
