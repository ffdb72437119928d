<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
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
    public function show(Request $request, int $session, LiveDesk $desk): View|Response
    {
        return $this->page($request, $this->session($request, $session, 'look'), $desk);
    }

    public function act(Request $request, int $session, LiveAct $act, HoldPass $hold): RedirectResponse|JsonResponse
    {
        return $this->done($request, $this->session($request, $session, 'host'), $act, $hold);
    }

    public function dropIn(Request $request, int $room, LiveDesk $desk, Clock $clock): View|Response
    {
        return $this->page($request, $this->room($room, $clock), $desk);
    }

    public function dropInAct(
        Request $request,
        int $room,
        LiveAct $act,
        Clock $clock,
        HoldPass $hold,
    ): RedirectResponse|JsonResponse {
        return $this->done($request, $this->room($room, $clock), $act, $hold);
    }

    private function page(Request $request, LiveRoom $live, LiveDesk $desk): View|Response
    {
        $page = $desk->page($live, $this->person($request));
        if (! $request->ajax()) {
            return view('joining.live', ['page' => $page]);
        }

        // Nothing has changed since it looked last.
        return $request->query('v') === $page->version()
            ? response()->noContent()
            : response()
                ->view('joining.live.parts', ['page' => $page])
                ->header('X-Version', $page->version());
    }

    private function done(
        Request $request,
        LiveRoom $live,
        LiveAct $act,
        HoldPass $hold,
    ): RedirectResponse|JsonResponse {
        $given = $request->validate(
            [
                'act' => ['required', Rule::in([...LiveAct::BRIDGE, ...LiveAct::OURS, 'pass-move', 'pass-keep'])],
                'person' => ['nullable', 'string', 'max:120'],
                'rehearsal' => ['nullable', 'boolean'],
                'on' => ['nullable', 'boolean'],
                'line' => ['nullable', 'integer'],
                'text' => ['nullable', 'string', 'max:4000'],
                'answers' => ['nullable', 'array', 'max:5'],
                'answers.*' => ['nullable', 'string', 'max:80'],
                'name' => ['nullable', 'string', 'max:120'],
                'email' => ['nullable', 'email', 'max:160'],
                'kind' => ['nullable', 'in:line,text,point,picture'],
                'x' => ['nullable', 'numeric'],
                'y' => ['nullable', 'numeric'],
                'points' => ['nullable', 'array', 'max:400'],
                'src' => ['nullable', 'string', 'max:400000'],
            ],
            ['act.*' => __('live.choose'), 'email.*' => __('live.pass.email_fault'), '*' => __('live.too_much')],
        );
        if ($live->series !== null && str_starts_with($given['act'], 'pass-')) {
            $moves = $given['act'] === 'pass-move';
            $name = $hold->decide($live->series, (int) ($given['person'] ?? 0), $moves, $this->person($request));

            return redirect()
                ->to($live->page)
                ->with('said', __($moves ? 'live.passes.moved' : 'live.passes.kept', ['name' => $name]));
        }
        try {
            $said = $act(
                $live,
                $given['act'],
                array_filter($given, fn (mixed $v): bool => $v !== null),
                $this->person($request),
            );

            return $request->ajax()
                ? response()->json(['said' => $said])
                : redirect()->to($live->page)->with('said', $said);
        } catch (DestinationFailure $e) {
            if ($request->ajax()) {
                return response()->json(['fault' => $e->getMessage()], 422);
            }

            return redirect()
                ->to($live->page)
                ->withErrors(['form' => $e->getMessage()]);
        }
    }

    private function session(Request $request, int $id, string $ability): LiveRoom
    {
        $session = Session::forRoom($id);
        $this->authorize($ability, $session);

        return LiveRoom::ofSession($session, $request->boolean('rehearsal'));
    }

    private function room(int $id, Clock $clock): LiveRoom
    {
        $room = DropInRoom::withTerm($id);
        $this->authorize('serve', $room->section);

        return LiveRoom::ofDropIn($room, $clock->seconds()) ?? abort(404, (string) __('said.live.no_open_hours'));
    }
}
