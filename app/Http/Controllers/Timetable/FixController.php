<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\AskSolver;
use Nomada\App\Actions\Timetable\StopSolver;
use Nomada\App\Actions\Timetable\TakeSolution;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\FixClashesRequest;
use Nomada\App\Http\Requests\WhyNotRequest;
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\Queries\SolverRulesOfTerm;
use Nomada\App\View\Timetable\Fix\FixPreview;
use Nomada\App\View\Timetable\Fix\FixQuery;
use Nomada\App\View\Timetable\Fix\WhyNotQuery;

/** Fixing clashes with the fewest moves, and placing series without a time: asking, looking, accepting. */
final class FixController extends Controller
{
    public function show(Request $request, string $kind, FixQuery $query): View
    {
        return view('timetable.fix', [
            'page' => $query->page($this->term(), $kind, $request->integer('answer')),
        ]);
    }

    public function ask(
        FixClashesRequest $request,
        string $kind,
        FixQuery $query,
        SolverRulesOfTerm $rules,
        AskSolver $ask,
    ): RedirectResponse {
        $term = $this->term();
        $ask(
            $term,
            $request->question($kind, $term->calendar(), $query->today(), $rules->of($term), $query->scopes($term)),
            $this->person($request),
        );

        return redirect()->route('fix', $kind);
    }

    public function stop(int $solverRun, StopSolver $stop): RedirectResponse
    {
        $run = SolverRun::ofTerm($this->term(), $solverRun);
        $stop($run);

        return redirect()->route('fix', $run->kind);
    }

    public function preview(Request $request, int $solverRun, int $answer, FixPreview $preview): View
    {
        $run = SolverRun::ofTerm($this->term(), $solverRun);

        return view('timetable.fix-preview', [
            'page' => $preview->of($run, $run->solution($answer), $answer, self::out($request)),
        ]);
    }

    /** @return list<int> series whose moves are left out */
    private static function out(Request $request): array
    {
        return array_values(
            array_map(intval(...), array_filter((array) $request->input('out', []), is_scalar(...))),
        );
    }

    public function take(Request $request, int $solverRun, int $answer, TakeSolution $take): RedirectResponse
    {
        $run = SolverRun::ofTerm($this->term(), $solverRun);
        $solution = $run->solution($answer)->without(self::out($request));
        $take($run, $solution, $this->person($request));

        return redirect()
            ->route($run->kind === 'place' ? 'timetable' : 'clashes')
            ->with('said', trans_choice("said.fix.taken.$run->kind", count($solution->moves)));
    }

    /** What stands in the way of a series at a time that somebody points at. */
    public function whyNot(WhyNotRequest $request, WhyNotQuery $query): View
    {
        return view('timetable.why-not', [
            'page' => $query->page($this->term(), $request->series(), ...$request->place()),
        ]);
    }
}
