<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\ChangeByTeacher;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\CancelSessionRequest;
use Nomada\App\Http\Requests\MoveSessionRequest;
use Nomada\App\Http\Requests\TellSessionRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\ChangeRequest;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\BusyRow;
use Nomada\App\View\Timetable\Move\MoveLook;

final class SessionController extends Controller
{
    public function cancel(
        CancelSessionRequest $request,
        Section $section,
        Series $series,
        Session $session,
        ChangeByTeacher $change,
    ): RedirectResponse {
        $done = $change($this->person($request), $section, $series, $session, $request->change());

        return $this->done($section, $done, (string) __('said.session.cancelled'));
    }

    public function restore(
        Request $request,
        Section $section,
        Series $series,
        Session $session,
        ChangeByTeacher $change,
    ): RedirectResponse {
        $done = $change->restore($this->person($request), $section, $series, $session);

        return $this->done($section, $done, (string) __('said.session.session_held_after'));
    }

    /** What each reach of a move would do, before it is done. */
    public function look(
        MoveSessionRequest $request,
        Section $section,
        Series $series,
        Session $session,
        MoveLook $look,
    ): View {
        [$start, $minutes] = $request->times();

        return view('timetable.moving', [
            'page' => $look->page(
                $session->setRelation('series', $series->setRelation('section', $section)),
                $request->day(),
                $start,
                $minutes,
                $request->span()->doubts,
            ),
        ]);
    }

    public function move(
        MoveSessionRequest $request,
        Section $section,
        Series $series,
        Session $session,
        ChangeByTeacher $change,
    ): RedirectResponse {
        $done = $change(
            $this->person($request),
            $section,
            $series->setRelation('section', $section),
            $session->setRelation('series', $series),
            $request->moved(),
            (string) $request->validated('why'),
        );
        if ($done instanceof ChangeRequest) {
            return $this->done($section, $done, '');
        }
        $said = [
            'this' => (string) __('said.session.one_session_moved', ['day' => Say::day($request->day())]),
            'later' => (string) __('said.session.session_later_ones'),
            'whole' => (string) __('said.session.whole_series_moved'),
        ][$request->reach()->value];

        return $request->input('back') === 'timetable'
            ? redirect()
                ->route(
                    'timetable',
                    array_filter([
                        'week' => $request->integer('week'),
                        'by' => $request->input('by'),
                        'day' => $request->input('shown_day'),
                    ]),
                )
                ->with('said', $said)
            : redirect()
                ->route('section', [$section, 'day' => $request->day()->iso()])
                ->with('said', $said);
    }

    public function tell(
        TellSessionRequest $request,
        Section $section,
        Series $series,
        Session $session,
        ChangeByTeacher $change,
    ): RedirectResponse {
        $done = $change($this->person($request), $section, $series, $session, $request->change());

        return $this->done($section, $done, (string) __('said.session.saved_one_session'));
    }

    /** An extra session, or one that makes up a lost one. */
    public function add(
        MoveSessionRequest $request,
        Section $section,
        Series $series,
        ChangeByTeacher $change,
    ): RedirectResponse {
        $done = $change(
            $this->person($request),
            $section,
            $series->setRelation('section', $section),
            null,
            $request->added(),
            (string) $request->validated('why'),
        );
        $said = ! $request->filled('makes_up')
            ? (string) __('said.session.extra_session_added', ['day' => Say::day($request->day())])
            : (string) __('said.session.made_up', ['day' => Say::day($request->day())]);

        return $request->input('back') === 'make-ups'
            ? redirect()->route('make-ups')->with('said', $said)
            : $this->done($section, $done, $said);
    }

    public function remove(
        Request $request,
        Section $section,
        Series $series,
        Session $session,
        ChangeByTeacher $change,
    ): RedirectResponse {
        $done = $change->remove($this->person($request), $section, $series, $session);

        return $this->done($section, $done, (string) __('said.session.extra_session_taken'));
    }

    /** When a session's teachers and students are busy in its week, for the row that it is dragged along. */
    public function busy(Section $section, Series $series, Session $session, BusyRow $busy): JsonResponse
    {
        return response()->json($busy->data($section, $series, $session));
    }

    /** @param  ChangeRequest|int  $done  the request that was written instead, if any */
    private function done(Section $section, ChangeRequest|int $done, string $said): RedirectResponse
    {
        return redirect()
            ->route('section', $section)
            ->with('said', $done instanceof ChangeRequest ? (string) __('said.request.asked') : $said);
    }
}
