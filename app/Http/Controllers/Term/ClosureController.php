<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;
use Nomada\App\Actions\Term\CloseDays;
use Nomada\App\Actions\Timetable\MakeUp;
use Nomada\App\Actions\Timetable\WorkOutMakeUps;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\ClosureRequest;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Queries\MakeUpProposals;
use Nomada\App\Support\Clock;
use Nomada\App\Support\StagedText;
use Nomada\App\View\Term\Calendar\TermQuery;
use Nomada\App\View\Term\ClosingLook;
use Nomada\App\View\Term\ClosureImport;
use Nomada\App\View\Term\MakeUps;
use Nomada\Core\Interchange\Calendar\ClosureWriter;

final class ClosureController extends Controller
{
    /** What falls on the days, before they are closed. */
    public function preview(ClosureRequest $request, CloseDays $close, TermQuery $page): View
    {
        $closure = $request->closure();

        return view('term.term', [
            'page' => $page->of(
                $this->term(),
                $this->person($request),
                new ClosingLook(
                    $closure,
                    $close->effect($this->term(), $closure),
                    $close->begun($this->term(), $closure),
                ),
            ),
        ]);
    }

    public function store(ClosureRequest $request, CloseDays $close): RedirectResponse
    {
        $closure = $request->closure();
        $effect = $close($this->term(), $closure, $this->person($request));
        $said = (string) __('said.closure.closed_publish_tell', [
            'reason' => $closure->reason,
            'words' => $effect->words(),
        ]);

        return ($request->input('then') === 'made-up'
            ? redirect()->route('make-ups', ['reason' => $closure->reason])
            : redirect()->route('term')
        )->with('said', $said);
    }

    public function destroy(Request $request, ClosedRange $closure, CloseDays $close): RedirectResponse
    {
        $effect = $close->open($closure, $closure->term, $this->person($request));

        return redirect()->route('term')->with(
            'said',
            (string) __('said.closure.open_again_what', [
                'reason' => $closure->reason,
                'words' => $effect->words(),
            ]),
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
                'calendar.required' => (string) __('said.closure.choose_calendar_file'),
                'calendar.*' => (string) __('said.closure.file_larger_than'),
            ],
        );

        return redirect()->route('closures.read', StagedText::keep($given['calendar'])->key);
    }

    public function read(string $key, ClosureImport $import): View
    {
        return view('term.closures', ['page' => $import->of(StagedText::find($key), $this->term())]);
    }

    public function take(Request $request, string $key, ClosureImport $import): RedirectResponse
    {
        $kept = StagedText::find($key);
        $given = $request->validate(
            ['take' => ['required', 'array', 'max:400'], 'take.*' => ['string']],
            [
                'take.*' => (string) __('said.closure.tick_days_be'),
            ],
        );
        $n = $import->take($kept, $this->term(), $given['take'], $this->person($request));
        $kept->forget();

        return redirect()->route('term')->with('said', trans_choice('said.closure.added', $n));
    }

    /** The lost and cancelled sessions that nothing makes up yet. */
    public function makeUps(Request $request, MakeUps $page, MakeUpProposals $proposals): View
    {
        $reason = (string) $request->query('reason', '');
        $times = WorkOutMakeUps::ask($proposals, $this->term(), $page->listed($this->term(), $reason));

        return view('term.make-ups', ['page' => $page->of($this->term(), $reason, $times)]);
    }

    /** Takes the chosen free time for each. One that was taken meanwhile is reported, and the others are made. */
    public function makeUp(Request $request, MakeUp $make): RedirectResponse
    {
        $given = $request->validate(
            [
                'take' => ['required', 'array', 'max:'.MakeUpProposals::AT_ONCE],
                'take.*' => ['nullable', 'string', 'regex:/^\d{4}-\d\d-\d\d \d{1,4} \d{1,3}( \d{1,4})?$/'],
            ],
            ['take.*' => (string) __('said.closure.choose_time_at')],
        );
        [$made, $faults] = $make($this->term(), array_filter($given['take']), $this->person($request));

        return redirect()
            ->route('make-ups', array_filter(['reason' => (string) $request->input('reason')]))
            ->with('said', trans_choice('said.closure.made_up', $made))
            ->withErrors($faults === [] ? [] : ['form' => implode(' ', $faults)]);
    }
}
