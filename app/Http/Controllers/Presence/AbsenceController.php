<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Presence;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Presence\TellAbsence;
use Nomada\App\Actions\Presence\WriteMissed;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\AbsenceRequest;
use Nomada\App\Http\Requests\DayRequest;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Presence\Attendances;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\Clock;
use Nomada\App\View\Presence\Attendance\ChildrenPage;
use Nomada\App\View\Presence\Attendance\MissedPage;
use Nomada\App\View\Presence\Attendance\StudentPage;
use Nomada\Core\Belonging\Role;

/** Who was away: one student over all sections, a day's absences, and what guardians see and tell of their children. */
final class AbsenceController extends Controller
{
    public function student(Request $request, string $sourcedId, Attendances $attendances, Clock $clock): View
    {
        $student = $this->pupil($sourcedId);

        return view('presence.student', [
            'page' => StudentPage::of($student, $attendances, $clock, $this->shared($request, $student)),
            'mayTell' => $this->person($request)->isCoordinator(),
        ]);
    }

    /** A student's own. */
    public function own(Request $request, Attendances $attendances, Clock $clock): View
    {
        return view('presence.own', ['page' => StudentPage::of($this->person($request), $attendances, $clock)]);
    }

    public function tell(AbsenceRequest $request, string $sourcedId, TellAbsence $tell): RedirectResponse
    {
        $student = $this->pupil($sourcedId);
        $this->told($request, $tell, $student, $this->person($request), true);

        return redirect()
            ->route('attendance.student', $sourcedId)
            ->with('said', __('attendance.absence.said', ['name' => $student->name()]));
    }

    public function takeBack(Request $request, string $sourcedId, int $absence, TellAbsence $tell): RedirectResponse
    {
        $tell->takeBack($absence, $this->pupil($sourcedId), $this->person($request));

        return redirect()
            ->route('attendance.student', $sourcedId)
            ->with('said', __('attendance.absence.taken_back'));
    }

    public function missed(DayRequest $request, MissedPage $page, Clock $clock): View
    {
        return view('presence.missed', [
            'page' => $page->of($this->term(), $this->person($request), $request->day() ?? $clock->schoolDay()),
            'n' => max(1, $request->integer('page', 1)),
        ]);
    }

    public function write(DayRequest $request, MissedPage $page, WriteMissed $write, Clock $clock): RedirectResponse
    {
        $found = $page->of($this->term(), $this->person($request), $request->day() ?? $clock->schoolDay());
        $n = $write($found->day, $found->students(), $this->person($request));

        return redirect()
            ->route('missed', ['date' => $found->day->iso()])
            ->with('said', trans_choice('presence.missed.said', $n));
    }

    /** A guardian's page, by the link in a letter. */
    public function children(Request $request, int $person, Attendances $attendances, Clock $clock): View
    {
        return view('presence.children', [
            'page' => ChildrenPage::of($this->guardian($request, $person), $attendances, $clock),
        ]);
    }

    public function tellForChild(AbsenceRequest $request, int $person, TellAbsence $tell): RedirectResponse
    {
        $guardian = $this->guardian($request, $person);
        $child = $guardian->ward((string) $request->input('who'));
        $this->told($request, $tell, $child, $guardian, false);

        return redirect()
            ->to($guardian->childrenPage())
            ->with('said', __('attendance.absence.said', ['name' => $child->name()]));
    }

    private function told(
        AbsenceRequest $request,
        TellAbsence $tell,
        Person $student,
        Person $by,
        bool $mayBePast,
    ): void {
        $tell($student, $request->first(), $request->last(), $request->why(), $by, $mayBePast);
    }

    private function pupil(string $sourcedId): Person
    {
        return Person::ofRole(Role::Student, $sourcedId);
    }

    private function guardian(Request $request, int $person): Person
    {
        $guardian = Person::guardian($person);
        abort_unless($guardian->takesLink($request->integer('v')), 403);
        // Nobody is signed in: whose page it is says in which language, where anybody has said it.
        if ($guardian->language !== null || $guardian->roster_language !== null) {
            app()->setLocale(Templates::languageOf($guardian));
        }

        return $guardian;
    }

    /** @return list<int>|null sections that the viewer and the student have in common; null for a coordinator */
    private function shared(Request $request, Person $student): ?array
    {
        $for = $this->person($request);
        if ($for->isCoordinator()) {
            return null;
        }
        $shared = Section::sharedBy($student, $for);
        abort_if($shared === [], 404);

        return $shared;
    }
}
