<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Publishing\Run;
use Nomada\App\View\Publishing\RunPage;

final class RunController extends Controller
{
    public function index(Request $request, RunPage $page): View
    {
        return view('publishing.runs', [
            'runs' => $page->recent($this->person($request)),
            'zone' => $this->term()->calendar()->zone,
        ]);
    }

    public function show(Run $run, RunPage $page): View
    {
        $this->authorize('view', $run);

        return view('publishing.run', $page->data($run) + ['zone' => $this->term()->calendar()->zone]);
    }

    /** The part of the page that moves while the run goes on. */
    public function progress(Run $run, RunPage $page): View
    {
        $this->authorize('view', $run);

        return view('publishing.run-progress', $page->data($run));
    }

    public function again(Run $run, StartRun $start): RedirectResponse
    {
        $this->authorize('view', $run);
        $start->again($run);

        return redirect()->route('run', $run);
    }
}
