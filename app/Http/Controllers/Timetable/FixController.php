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
use Nomada\App\Models\Timetable\SolverRun;
use Nomada\App\View\Timetable\Fix\FixPreview;
use Nomada\App\View\Timetable\Fix\FixQuery;

/** Fixing clashes with the fewest moves: asking, looking at the answers, accepting one. */
final class FixController extends Controller
{
    public function show(Request $request, FixQuery $query): View
    {
        return view('timetable.fix', [
            'page' => $query->page($this->term(), $request->integer('answer')),
        ]);
    }

    public function ask(FixClashesRequest $request, FixQuery $query, AskSolver $ask): RedirectResponse
    {
        $term = $this->term();
        $question = $request->question($term->calendar(), $query->today(), $query->scopes($term));
        $ask($term, $question, $this->person($request));

        return redirect()->route('fix');
    }

    public function stop(int $solverRun, StopSolver $stop): RedirectResponse
    {
        $run = SolverRun::ofTerm($this->term(), $solverRun);
        $stop($run);

        return redirect()->route('fix');
    }

    public function preview(int $solverRun, int $answer, FixPreview $preview): View
    {
        $run = SolverRun::ofTerm($this->term(), $solverRun);

        return view('timetable.fix-preview', [
            'page' => $preview->of($run, $run->solution($answer), $answer),
        ]);
    }

    public function take(Request $request, int $solverRun, int $answer, TakeSolution $take): RedirectResponse
    {
        $run = SolverRun::ofTerm($this->term(), $solverRun);
        $solution = $run->solution($answer);
        $take($run, $solution, $this->person($request));

        return redirect()->route('clashes')->with('said', trans_choice('said.fix.taken', count($solution->moves)));
    }
}
