<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Joining\HoldPass;
use Nomada\App\Actions\Joining\LiveAct;
use Nomada\App\Actions\Joining\LiveRoom;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Joining\DropInRoom;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\View\Joining\LiveDesk;

/** The live desk of a session, its rehearsal with invented students, and that of a drop-in room. */
final class LiveController extends Controller
{
    public function show(Request $request, int $session, LiveDesk $desk): View
    {
        return $this->page($request, $this->session($request, $session, 'look'), $desk);
    }

    public function act(Request $request, int $session, LiveAct $act, HoldPass $hold): RedirectResponse
    {
        return $this->done($request, $this->session($request, $session, 'host'), $act, $hold);
    }

    public function dropIn(Request $request, int $room, LiveDesk $desk, Clock $clock): View
    {
        return $this->page($request, $this->room($room, $clock), $desk);
    }

    public function dropInAct(
        Request $request,
        int $room,
        LiveAct $act,
        Clock $clock,
        HoldPass $hold,
    ): RedirectResponse {
        return $this->done($request, $this->room($room, $clock), $act, $hold);
    }

    private function page(Request $request, LiveRoom $live, LiveDesk $desk): View
    {
        return view($request->ajax() ? 'joining.live-people' : 'joining.live', $desk->data($live));
    }

    private function done(Request $request, LiveRoom $live, LiveAct $act, HoldPass $hold): RedirectResponse
    {
        $given = $request->validate(
            [
                'act' => [
                    'required',
                    'in:let-in,let-in-all,send-out,give-floor,take-floor,end,rehearse,pass-move,pass-keep',
                ],
                'person' => ['nullable', 'string', 'max:120'],
                'rehearsal' => ['nullable', 'boolean'],
            ],
            ['act.*' => 'Choose what is to be done.'],
        );
        if ($live->series !== null && str_starts_with($given['act'], 'pass-')) {
            $moves = $given['act'] === 'pass-move';
            $name = $hold->decide($live->series, (int) ($given['person'] ?? 0), $moves, $this->person($request));

            return redirect()
                ->to($live->page)
                ->with('said', __($moves ? 'live.passes.moved' : 'live.passes.kept', ['name' => $name]));
        }
        try {
            return redirect()
                ->to($live->page)
                ->with(
                    'said',
                    $act($live, $given['act'], (string) ($given['person'] ?? ''), $this->person($request)),
                );
        } catch (DestinationFailure $e) {
            return redirect()
                ->to($live->page)
                ->withErrors(['form' => $e->getMessage()]);
        }
    }

    private function session(Request $request, int $id, string $ability): LiveRoom
    {
        $session = Session::query()
            ->with(['series.section.term.school', 'series.section.term.closures', 'series.hostAccount.plan'])
            ->findOrFail($id);
        $this->authorize($ability, $session);

        return LiveRoom::ofSession($session, $request->boolean('rehearsal'));
    }

    private function room(int $id, Clock $clock): LiveRoom
    {
        $room = DropInRoom::query()
            ->with(['section.term.school', 'section.term.closures'])
            ->findOrFail($id);
        $this->authorize('serve', $room->section);

        return LiveRoom::ofDropIn($room, $clock->seconds()) ?? abort(404, 'No open hours are left in the term.');
    }
}
