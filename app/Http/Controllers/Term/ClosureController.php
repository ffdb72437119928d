<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;
use Nomada\App\Actions\Term\CloseDays;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\ClosureRequest;
use Nomada\App\Models\Term\ClosedRange;
use Nomada\App\Support\Words;
use Nomada\App\View\Term\TermPage;

final class ClosureController extends Controller
{
    /** What falls on the days, before they are closed. */
    public function preview(ClosureRequest $request, CloseDays $close, TermPage $page): View
    {
        $closure = $request->closure();

        return view('term.term', $page->data($this->term()) + ['closing' => $closure, 'effect' => $close->effect($this->term(), $closure)]);
    }

    public function store(ClosureRequest $request, CloseDays $close): RedirectResponse
    {
        $closure = $request->closure();
        $effect = $close->effect($this->term(), $closure);
        $close($this->term(), $closure);

        return redirect()->route('term')->with('said', "{$closure->reason} is closed: ".Words::count($effect['sessions'], 'session').' of '.Words::count($effect['sections'], 'section').' are lost. Publish to tell everybody.');
    }

    public function destroy(ClosedRange $closure, CloseDays $close): RedirectResponse
    {
        $close->open($closure, $this->term());

        return redirect()->route('term')->with('said', "{$closure->reason} is open again; the sessions that were lost to it are planned, but for past ones.");
    }
}
