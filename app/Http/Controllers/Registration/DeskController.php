<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Registration\DecideRegistration;
use Nomada\App\Actions\Registration\KeepRegistering;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\RegisteringRequest;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Words;
use Nomada\App\View\Registration\RegistrationDesk;
use Nomada\Core\Fault;

/** The registration desk. Each registration is authorised by its section. */
final class DeskController extends Controller
{
    public function index(Request $request, RegistrationDesk $desk): View
    {
        $show = in_array($request->query('show'), ['list', 'decided', 'changes'], true)
            ? (string) $request->query('show')
            : '';

        return view(
            'registration.desk',
            $desk->data(
                $this->term(),
                $this->person($request),
                $show,
                (string) $request->query('verdict', ''),
                $request->boolean('now'),
            ),
        );
    }

    public function certain(Request $request, RegistrationDesk $desk, DecideRegistration $decide): RedirectResponse
    {
        $done = 0;
        $faults = [];
        foreach ($desk->certain($this->term(), $this->person($request)) as $registration) {
            $this->authorize('serve', $registration->series->section);
            try {
                $decide->accept($registration, $this->person($request));
                $done++;
            } catch (Fault $e) {
                $faults[$e->getMessage()] = true;
            }
        }

        return back()->with(
            'said',
            ($done === 0
                ? 'Nobody was accepted: nothing in the queue is certain.'
                : Words::count($done, 'registration').' accepted; the confirmations go in a minute.').
                ($faults === [] ? '' : ' '.implode(' ', array_keys($faults))),
        );
    }

    public function accept(
        Request $request,
        Registration $registration,
        DecideRegistration $decide,
    ): RedirectResponse {
        $decide->accept($this->allowed($registration), $this->person($request));

        return back()->with('said', "$registration->typed_name is accepted; the confirmation goes in a minute.");
    }

    public function decline(
        Request $request,
        Registration $registration,
        DecideRegistration $decide,
    ): RedirectResponse {
        // Who may is asked before what was typed is read.
        $this->allowed($registration);
        $given = $request->validate(
            ['reason' => ['required', 'string', 'max:300']],
            ['reason.*' => 'Write the reason, in 300 characters at most; the student reads it.'],
        );
        $decide->decline($registration, $given['reason'], $this->person($request));

        return back()->with('said', "$registration->typed_name is declined; the letter goes in a minute.");
    }

    public function send(Request $request, Registration $registration, DecideRegistration $decide): RedirectResponse
    {
        $this->allowed($registration);
        $given = $request->validate(
            ['section' => ['required', 'string', 'max:80']],
            ['section.*' => 'Choose the section.'],
        );
        $to =
            Section::query()
                ->where('term_id', $this->term()->id)
                ->where('sourced_id', $given['section'])
                ->first() ?? throw new Fault('Choose a section of the list.', 'section');
        // Whoever sends need not look after the other section: there it waits for those who do.
        $decide->send($registration, $to, $this->person($request));

        return back()->with('said', "$registration->typed_name was sent to {$to->name()}.");
    }

    public function undo(Request $request, Registration $registration, DecideRegistration $decide): RedirectResponse
    {
        $decide->undo($this->allowed($registration, true), $this->person($request));

        return back()->with('said', 'Taken back: '.($registration->typed_name ?? '').' waits again.');
    }

    public function withdraw(
        Request $request,
        Registration $registration,
        DecideRegistration $decide,
    ): RedirectResponse {
        $decide->withdraw($this->allowed($registration), $this->person($request));

        return back()->with('said', 'The registration is withdrawn, and its link is dead.');
    }

    public function mode(
        RegisteringRequest $request,
        Section $section,
        Series $series,
        KeepRegistering $keep,
    ): RedirectResponse {
        $registering = $request->registering();
        $keep($series->load(['section', 'sessions']), $registering, $this->person($request));

        return redirect()
            ->route('series.door', [$section, $series])
            ->with('said', $registering === null ? 'The roster is followed.' : $registering->say().'.');
    }

    /**
     * By the section where it is: whoever has sent it away has nothing to do with it any more, but to take that back.
     *
     * @param  bool  $takesBack  the sending is taken back: by the section where it was
     */
    private function allowed(Registration $registration, bool $takesBack = false): Registration
    {
        $registration->load(['series.section', 'person']);
        $this->authorize(
            'serve',
            $takesBack &&
            $registration->before !== null &&
            $registration->before['series_id'] !== $registration->series_id
                ? Series::query()->with('section')->findOrFail($registration->before['series_id'])->section
                : $registration->series->section,
        );

        return $registration;
    }
}
