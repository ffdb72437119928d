<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Registration\CompareQueue;
use Nomada\App\Actions\Registration\CompareRegistrants;
use Nomada\App\Actions\Registration\DecideRegistration;
use Nomada\App\Actions\Registration\KeepRegistering;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\RegisteringRequest;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\Templates;
use Nomada\App\Support\FaultWords;
use Nomada\App\View\Registration\Desk\DeskQuery;
use Nomada\Core\Fault;

/** The registration desk. Each registration is authorised by its section. */
final class DeskController extends Controller
{
    public function index(Request $request, DeskQuery $desk): View
    {
        $show = $request->query('show');

        $page = $desk->page(
            $this->term(),
            $this->person($request),
            in_array($show, ['list', 'decided', 'changes'], true) ? $show : 'queue',
            (string) $request->query('verdict', ''),
            $request->boolean('now'),
        );
        if ($page->queue?->isComparing === true) {
            CompareQueue::ask($this->term(), $this->person($request));
        }

        return view('registration.desk', ['page' => $page]);
    }

    public function certain(Request $request, CompareRegistrants $compare, DecideRegistration $decide): RedirectResponse
    {
        $done = 0;
        $faults = [];
        foreach ($compare->certain($this->term(), $this->person($request)) as $registration) {
            $this->authorize('serve', $registration->series->section);
            try {
                $decide->accept($registration, $this->person($request));
                $done++;
            } catch (Fault $e) {
                $faults[FaultWords::of($e)] = true;
            }
        }

        return back()->with(
            'said',
            ($done === 0
                ? (string) __('said.desk.nobody_accepted_nothing')
                : trans_choice('said.desk.accepted', $done)).
                ($faults === [] ? '' : ' '.implode(' ', array_keys($faults))),
        );
    }

    public function accept(
        Request $request,
        Registration $registration,
        DecideRegistration $decide,
    ): RedirectResponse {
        $decide->accept($this->allowed($registration), $this->person($request));

        return back()->with(
            'said',
            (string) __('said.desk.accepted_confirmation_goes', ['typed_name' => $registration->typed_name]),
        );
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
            ['reason.*' => (string) __('said.desk.write_reason_300')],
        );
        $decide->decline($registration, $given['reason'], $this->person($request));

        return back()->with(
            'said',
            (string) __('said.desk.declined_letter_goes', ['typed_name' => $registration->typed_name]),
        );
    }

    public function send(Request $request, Registration $registration, DecideRegistration $decide): RedirectResponse
    {
        $this->allowed($registration);
        $given = $request->validate(
            ['section' => ['required', 'string', 'max:80']],
            ['section.*' => (string) __('said.desk.choose_section')],
        );
        $to =
            Section::inTerm($this->term(), $given['section']) ??
            throw new Fault('said.desk.choose_section_list', 'section');
        // Anybody who sends need not look after the other section: there it waits for those who do.
        $decide->send($registration, $to, $this->person($request));

        return back()->with(
            'said',
            (string) __('said.desk.sent', ['typed_name' => $registration->typed_name, 'name' => $to->name()]),
        );
    }

    public function undo(Request $request, Registration $registration, DecideRegistration $decide): RedirectResponse
    {
        $decide->undo($this->allowed($registration, true), $this->person($request));

        return back()->with(
            'said',
            (string) __('said.desk.waits_again', ['name' => (string) $registration->typed_name]),
        );
    }

    public function withdraw(
        Request $request,
        Registration $registration,
        DecideRegistration $decide,
    ): RedirectResponse {
        $decide->withdraw($this->allowed($registration), $this->person($request));

        return back()->with('said', (string) __('said.desk.registration_withdrawn_link'));
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
            ->with(
                'said',
                $registering === null
                    ? (string) __('said.desk.roster_followed')
                    : $registering->say(Templates::phrases(app()->getLocale())).'.',
            );
    }

    /**
     * By the section where it is: anybody who has sent it away has nothing to do with it any more, but to take that
     * back.
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
                ? Series::findOrFail($registration->before['series_id'])->section
                : $registration->series->section,
        );

        return $registration;
    }
}
