<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Registration\DecideRegistration;
use Nomada\App\Actions\Registration\TakeRegistration;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\RegisterRequest;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\View\Registration\Register\RegisterQuery;

/** A student's own registration for a series. Staff see the page as it is, and cannot register. */
final class RegisterController extends Controller
{
    public function show(Request $request, Series $series, RegisterQuery $page): View
    {
        $series->load(['section.term.school', 'section.term.closures', 'sessions']);
        $person = $this->person($request);
        if ($person->isStaff()) {
            $section = $series->section;
            $this->authorize('view', $section);
        } elseif (
            $series->registering === null &&
            ! $series->hasRegistrationOf($person)
        ) {
            // A class that takes no registrations is nobody's business but its own.
            abort(404);
        }

        return view('registration.register', ['page' => $page->page($series, $person)]);
    }

    public function store(RegisterRequest $request, Series $series, TakeRegistration $take): RedirectResponse
    {
        abort_if($series->registering === null, 404);
        $days = $request->validated('days') ?? [];
        $take(
            $series->load(['section.term.school', 'section.term.closures', 'sessions']),
            $this->person($request),
            trim((string) $request->validated('typed_name')),
            trim((string) $request->validated('typed_email')),
            array_values(is_array($days) ? array_filter($days, is_string(...)) : []),
        );

        return redirect()->route('register', $series);
    }

    public function destroy(
        Request $request,
        Series $series,
        Registration $registration,
        DecideRegistration $decide,
    ): RedirectResponse {
        // Another's registration is not there, rather than forbidden.
        abort_unless(
            $registration->series_id === $series->id && $registration->person_id === $this->person($request)->id,
            404,
        );
        $decide->withdraw($registration, $this->person($request));

        return redirect()->route('register', $series)->with('said', __('register.taken_back'));
    }
}
