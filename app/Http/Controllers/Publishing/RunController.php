<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\View\Publishing\Run\RunQuery;
use Nomada\App\View\Publishing\RunRecord;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class RunController extends Controller
{
    public function index(Request $request, RunQuery $page): View
    {
        return view('publishing.runs', [
            'runs' => $page->recent($this->person($request), $this->term()->calendar()->zone),
        ]);
    }

    public function show(Run $run, RunQuery $page): View
    {
        $this->authorize('view', $run);

        return view('publishing.run', ['page' => $page->page($run, $this->term()->calendar()->zone)]);
    }

    /** The part of the page that moves while the run goes on. */
    public function progress(Run $run, RunQuery $page): View
    {
        $this->authorize('view', $run);

        return view('publishing.run.progress', ['page' => $page->page($run, $this->term()->calendar()->zone)]);
    }

    /** Nothing more of it is done until somebody goes on. */
    public function halt(Request $request, Run $run, StartRun $start): RedirectResponse
    {
        $this->authorize('view', $run);
        $start->halt($run, $this->person($request));

        return redirect()->route('run', $run);
    }

    public function goOn(Run $run, StartRun $start): RedirectResponse
    {
        $this->authorize('view', $run);
        $start->goOn($run);

        return redirect()->route('run', $run);
    }

    /** What came of each step, as a table. */
    public function csv(Run $run, RunRecord $record): StreamedResponse
    {
        $this->authorize('view', $run);

        return response()->streamDownload(
            fn () => $record->write($run, fn (string $line) => print $line),
            "run-$run->id.csv",
            ['Content-Type' => 'text/csv; charset=utf-8'],
        );
    }

    public function again(Run $run, StartRun $start): RedirectResponse
    {
        $this->authorize('view', $run);
        $start->again($run);

        return redirect()->route('run', $run);
    }
}
