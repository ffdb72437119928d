<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;
use Nomada\App\Actions\Term\CloseDays;
use Nomada\App\Actions\Timetable\MakeUp;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\ClosureRequest;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Support\Clock;
use Nomada\App\Support\KeptText;
use Nomada\App\Support\Words;
use Nomada\App\View\Term\ClosingLook;
use Nomada\App\View\Term\ClosureImport;
use Nomada\App\View\Term\MakeUps;
use Nomada\App\View\Term\TermPage;
use Nomada\Core\Interchange\Calendar\ClosureWriter;

final class ClosureController extends Controller
{
    /** What falls on the days, before they are closed. */
    public function preview(ClosureRequest $request, CloseDays $close, TermPage $page): View
    {
        $closure = $request->closure();

        return view(
            'term.term',
            $page->data($this->term()) + [
                'closing' => new ClosingLook(
                    $closure,
                    $close->effect($this->term(), $closure),
                    $close->begun($this->term(), $closure),
                ),
            ],
        );
    }

    public function store(ClosureRequest $request, CloseDays $close): RedirectResponse
    {
        $closure = $request->closure();
        $effect = $close($this->term(), $closure, $this->person($request));
        $said = "{$closure->reason} is closed: {$effect->words()}. Publish to tell everybody.";

        return ($request->input('then') === 'made-up'
            ? redirect()->route('make-ups', ['reason' => $closure->reason])
            : redirect()->route('term')
        )->with('said', $said);
    }

    public function destroy(Request $request, ClosedRange $closure, CloseDays $close): RedirectResponse
    {
        $effect = $close->open($closure, $closure->term()->firstOrFail(), $this->person($request));

        return redirect()
            ->route('term')
            ->with(
                'said',
                "{$closure->reason} is open again: {$effect->words()}. What was lost to it and is past stays lost.",
            );
    }

    /** The closed days as iCalendar. */
    public function export(Clock $clock): Response
    {
        $closures = $this->term()
            ->closures->mapWithKeys(fn (ClosedRange $c): array => [$c->uid => $c->toCore()])
            ->all();

        return new Response(
            ClosureWriter::write($closures, "Closed days, {$this->term()->title}", $clock->seconds()),
            200,
            [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="closed-days.ics"',
            ],
        );
    }

    /** Closed days from iCalendar: read, shown with what falls on them, then taken. */
    public function upload(Request $request): RedirectResponse
    {
        $given = $request->validate(
            ['calendar' => ['required', 'file', 'max:2048']],
            [
                'calendar.required' => 'Choose a calendar file (.ics).',
                'calendar.*' => 'That file is larger than 2 MB, or cannot be read.',
            ],
        );

        return redirect()->route('closures.read', KeptText::keep($given['calendar'])->key);
    }

    public function read(string $key, ClosureImport $import): View
    {
        return view('term.closures', $import->data(KeptText::find($key), $this->term()));
    }

    public function take(Request $request, string $key, ClosureImport $import): RedirectResponse
    {
        $kept = KeptText::find($key);
        $given = $request->validate(
            ['take' => ['required', 'array', 'max:400'], 'take.*' => ['string']],
            [
                'take.*' => 'Tick the days that are to be closed.',
            ],
        );
        $n = $import->take($kept, $this->term(), $given['take'], $this->person($request));
        $kept->forget();

        return redirect()
            ->route('term')
            ->with('said', Words::count($n, 'closure').' added. Publish to tell everybody.');
    }

    /** The lost and cancelled sessions that nothing makes up yet. */
    public function makeUps(Request $request, MakeUps $page): View
    {
        return view(
            'term.make-ups',
            $page->data($this->term(), (string) $request->query('reason', ''), $request->integer('page', 1)),
        );
    }

    /** Takes the chosen free time for each. One that has been taken meanwhile is told, and the others are made. */
    public function makeUp(Request $request, MakeUp $make): RedirectResponse
    {
        $given = $request->validate(
            [
                'take' => ['required', 'array', 'max:50'],
                'take.*' => ['nullable', 'string', 'regex:/^\d{4}-\d\d-\d\d \d{1,4} \d{1,3}( \d{1,4})?$/'],
            ],
            ['take.*' => 'Choose a time for at least one session.'],
        );
        [$made, $faults] = $make($this->term(), array_filter($given['take']), $this->person($request));

        return redirect()
            ->route('make-ups', array_filter(['reason' => (string) $request->input('reason')]))
            ->with('said', Words::count($made, 'session').' made up.')
            ->withErrors($faults === [] ? [] : ['form' => implode(' ', $faults)]);
    }
}
