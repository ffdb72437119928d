<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\ChangeSession;
use Nomada\App\Actions\Timetable\MoveSessions;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\MoveSessionRequest;
use Nomada\App\Http\Requests\TellSessionRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Say;
use Nomada\App\View\Timetable\BusyRow;
use Nomada\App\View\Timetable\Move\MoveLook;

final class SessionController extends Controller
{
    public function cancel(
        Request $request,
        Section $section,
        Series $series,
        Session $session,
        ChangeSession $change,
    ): RedirectResponse {
        $given = $request->validate(
            ['reason' => ['nullable', 'string', 'max:160'], 'keeps_topic' => ['nullable', 'boolean']],
            ['reason.max' => (string) __('said.session.reason_has_160')],
        );
        $change->cancel(
            $session,
            (string) ($given['reason'] ?? ''),
            $this->person($request),
            $request->boolean('keeps_topic'),
        );

        return $this->done($section, (string) __('said.session.cancelled'));
    }

    public function restore(
        Request $request,
        Section $section,
        Series $series,
        Session $session,
        ChangeSession $change,
    ): RedirectResponse {
        $change->restore($session, $this->person($request));

        return $this->done($section, (string) __('said.session.session_held_after'));
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
        MoveSessions $move,
    ): RedirectResponse {
        [$start, $minutes] = $request->times();
        $reach = $request->reach();
        $move(
            $session->setRelation('series', $series->setRelation('section', $section)),
            $request->day(),
            $start,
            $minutes,
            $reach,
            $this->person($request),
        );
        $said = [
            'this' => (string) __('said.session.one_session_moved', ['day' => Say::day($request->day())]),
            'later' => (string) __('said.session.session_later_ones'),
            'whole' => (string) __('said.session.whole_series_moved'),
        ][$reach->value];

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
        ChangeSession $change,
    ): RedirectResponse {
        $change->tell(
            $session,
            (string) $request->validated('title'),
            (string) $request->validated('note'),
            $request->teacher(),
            $this->person($request),
        );

        return $this->done($section, (string) __('said.session.saved_one_session'));
    }

    /** An extra session, or one that makes up a lost one. */
    public function add(
        MoveSessionRequest $request,
        Section $section,
        Series $series,
        ChangeSession $change,
    ): RedirectResponse {
        [$start, $minutes] = $request->times();
        $madeUp = $request->filled('makes_up')
            ? $series->sessions()->findOrFail($request->integer('makes_up'))
            : null;
        $change->add($series, $request->day(), $start, $minutes, $madeUp, $this->person($request));
        $said =
            $madeUp === null
                ? (string) __('said.session.extra_session_added', ['day' => Say::day($request->day())])
                : (string) __('said.session.made_up', ['day' => Say::day($request->day())]);

        return $request->input('back') === 'make-ups'
            ? redirect()->route('make-ups')->with('said', $said)
            : $this->done($section, $said);
    }

    public function remove(
        Request $request,
        Section $section,
        Series $series,
        Session $session,
        ChangeSession $change,
    ): RedirectResponse {
        $change->remove($session, $this->person($request));

        return $this->done($section, (string) __('said.session.extra_session_taken'));
    }

    /** When a session's teachers and students are busy in its week, for the row that it is dragged along. */
    public function busy(Section $section, Series $series, Session $session, BusyRow $busy): JsonResponse
    {
        return response()->json($busy->data($section, $series, $session));
    }

    private function done(Section $section, string $said): RedirectResponse
    {
        return redirect()->route('section', $section)->with('said', $said);
    }
}
