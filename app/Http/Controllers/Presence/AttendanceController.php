<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Presence;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\View\View;
use Nomada\App\Actions\Presence\CorrectAttendance;
use Nomada\App\Actions\Presence\KeepScores;
use Nomada\App\Actions\Presence\ReadPresence;
use Nomada\App\Actions\Recording\ReleaseRecording;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Queries\Presence\Scores;
use Nomada\App\Support\Clock;
use Nomada\App\View\Presence\Attendance\AttendanceFiles;
use Nomada\App\View\Presence\Attendance\SectionPage;
use Nomada\App\View\Presence\Attendance\SessionPage;
use Nomada\Core\Presence\Correction;
use Nomada\Core\Presence\Formula;
use Nomada\Core\Presence\Measure;
use Nomada\Core\Presence\Status;
use Symfony\Component\HttpFoundation\Response;

/** A section's attendance: the table, one session, what a teacher corrects, the score, and all of it as files. */
final class AttendanceController extends Controller
{
    public function section(Section $section, Attendances $attendances, Scores $scores, Clock $clock): View
    {
        return view('presence.attendance', ['page' => SectionPage::of($section, $attendances, $scores, $clock)]);
    }

    public function session(Section $section, int $session, Attendances $attendances, Clock $clock): View
    {
        $page = SessionPage::of($section, $section->heldSession($session), $attendances, $clock->seconds());

        return view('presence.session', ['page' => $page ?? abort(404)]);
    }

    public function export(Section $section, string $as, AttendanceFiles $files): Response
    {
        return $files->respond($section, $as);
    }

    public function correct(
        Request $request,
        Section $section,
        int $session,
        CorrectAttendance $correct,
    ): RedirectResponse {
        $given = $request->validate(
            [
                'who' => ['required', 'string', 'max:80'],
                'status' => ['required', Rule::enum(Status::class)],
                'minutes' => ['nullable', 'integer'],
                'why' => ['nullable', 'string', 'max:300'],
            ],
            [
                'who.*' => __('presence.correct.who_fault'),
                'status.*' => __('presence.correct.status_fault'),
                'minutes.*' => __('presence.correct.minutes_fault'),
                'why.*' => __('presence.correct.why_fault'),
            ],
        );
        $correct(
            $section->heldSession($session),
            $section->student($given['who']),
            new Correction(
                Status::from($given['status']),
                isset($given['minutes']) ? (int) $given['minutes'] : null,
                (string) ($given['why'] ?? ''),
            ),
            $this->person($request),
        );

        return $this->to('attendance.session', [$section, $session], __('presence.correct.said'));
    }

    public function asComputed(
        Request $request,
        Section $section,
        int $session,
        string $who,
        CorrectAttendance $correct,
    ): RedirectResponse {
        $correct->takeBack($section->heldSession($session), $section->student($who), $this->person($request));

        return $this->to('attendance.session', [$section, $session], __('presence.correct.taken_back'));
    }

    public function read(Section $section, int $session, ReadPresence $read): RedirectResponse
    {
        $found = $section->heldSession($session)->load([
            'series.section.term.school',
            'series.section.term.closures',
        ]);
        try {
            $new = $read($found);
        } catch (DestinationFailure $e) {
            return redirect()
                ->route('attendance.session', [$section, $session])
                ->withErrors(['form' => $e->getMessage()]);
        }

        return $this->to('attendance.session', [$section, $session], trans_choice('presence.read.said', $new));
    }

    public function formula(Request $request, Section $section, KeepScores $keep): RedirectResponse
    {
        $rules = ['maximum' => ['required', 'integer']];
        foreach (Measure::cases() as $measure) {
            $rules["weight_$measure->value"] = ['nullable', 'integer'];
            $rules["cap_$measure->value"] = ['nullable', 'integer'];
        }
        $given = $request->validate($rules, ['*' => __('presence.score.number_fault')]);
        $parts = [];
        foreach (Measure::cases() as $measure) {
            $parts[$measure->value] = [
                (int) ($given["weight_$measure->value"] ?? 0),
                (int) ($given["cap_$measure->value"] ?? ($measure->isShare() ? 100 : 5)),
            ];
        }
        $keep->formula(
            $section,
            Formula::from(['maximum' => (int) $given['maximum'], 'parts' => $parts]),
            $this->person($request),
        );

        return $this->to('attendance', [$section], __('presence.score.kept'));
    }

    /** Whether recordings of the section are released once they are ready. */
    public function byItself(Request $request, Section $section, ReleaseRecording $release): RedirectResponse
    {
        $release->section($section, $request->boolean('on'), $this->person($request));

        return $this->to('attendance', [$section], __('recordings.by_itself.said'));
    }

    public function score(Request $request, Section $section, KeepScores $keep, Scores $scores): RedirectResponse
    {
        $given = $request->validate(
            [
                'who' => ['required', 'string', 'max:80'],
                'points' => ['nullable', 'numeric'],
                'why' => ['nullable', 'string', 'max:300'],
            ],
            [
                'who.*' => __('presence.correct.who_fault'),
                'points.*' => __('presence.score.number_fault'),
                'why.*' => __('presence.correct.why_fault'),
            ],
        );
        $pupil = $section->student($given['who']);
        if (! isset($given['points'])) {
            $keep->takeBack($section, $pupil, $this->person($request));
        } else {
            $keep->change(
                $section,
                $scores->formula($section),
                $pupil,
                (float) $given['points'],
                (string) ($given['why'] ?? ''),
                $this->person($request),
            );
        }

        return $this->to('attendance', [$section], __('presence.score.changed'));
    }

    /** @param  array<mixed>  $with */
    private function to(string $route, array $with, string $said): RedirectResponse
    {
        return redirect()->route($route, $with)->with('said', $said);
    }
}
