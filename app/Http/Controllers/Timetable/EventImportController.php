<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\ImportEvents;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\StagedText;
use Nomada\App\View\Timetable\Events\EventImport;

/** Timetables and busy times in from iCalendar: upload, match, take. */
final class EventImportController extends Controller
{
    public function create(): View
    {
        return view('timetable.events', [
            'teachers' => Person::teachers(),
        ]);
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(
            [
                'calendar' => ['required', 'file', 'max:16384'],
                'teacher' => ['nullable', 'string', 'exists:people,sourced_id'],
            ],
            [
                'calendar.required' => (string) __('said.event_import.choose_calendar_file'),
                'calendar.max' => (string) __('said.event_import.file_larger_than'),
                'calendar.*' => (string) __('said.event_import.file_cannot_be'),
                'teacher.*' => (string) __('said.event_import.choose_teacher_from'),
            ],
        );

        return redirect()->route(
            'events.preview',
            StagedText::keep($given['calendar'], ['teacher' => (string) ($given['teacher'] ?? '')])->key,
        );
    }

    public function preview(string $key, EventImport $import): View
    {
        return view('timetable.events-preview', ['page' => $import->of(StagedText::find($key), $this->term())]);
    }

    public function take(Request $request, string $key, EventImport $import, ImportEvents $take): RedirectResponse
    {
        $given = $request->validate([
            'choice' => ['nullable', 'array', 'max:400'],
            'choice.*' => ['string', 'max:255'],
        ]);
        $kept = StagedText::find($key);
        $sum = $take(
            $import->chosen($kept, $this->term(), $given['choice'] ?? []),
            EventImport::teacher($kept),
            $this->person($request),
        );
        $kept->forget();

        return redirect()->route('timetable')->with('said', (string) __('said.event_import.taken', $sum));
    }
}
