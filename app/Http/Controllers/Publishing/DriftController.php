<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Publishing\Drifts;
use Nomada\App\Actions\Publishing\OthersThere;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\DriftRequest;
use Nomada\App\Models\Publishing\Placement;
use Nomada\App\Models\Term\Section;
use Nomada\App\View\Publishing\DriftPage;
use Nomada\Core\Publishing\Place;

final class DriftController extends Controller
{
    public function show(Request $request): View
    {
        return view('publishing.drift', ['page' => DriftPage::of($this->term(), $this->person($request))]);
    }

    public function look(Request $request, Drifts $drifts): RedirectResponse
    {
        $came = $drifts->look(Section::servedIn($this->term(), $this->person($request)), Place::cases());

        return redirect()
            ->route('drift')
            ->with('said', trans_choice('publishing.drift.found', $came['found'], ['looked' => $came['looked']]));
    }

    /** Each placement chosen is authorised by its section (DriftRequest). */
    public function keep(DriftRequest $request, Drifts $drifts): RedirectResponse
    {
        $n = $drifts->keepTheirs($request->placements(), $this->person($request));

        return redirect()->route('drift')->with('said', trans_choice('publishing.drift.kept', $n));
    }

    public function putBack(DriftRequest $request, Drifts $drifts): RedirectResponse
    {
        $run = $drifts->putBack($request->placements(), $this->person($request));

        return $run === null
            ? redirect()->route('drift')->with('said', __('publishing.drift.nothing'))
            : redirect()->route('run', $run);
    }

    public function takeBack(Request $request, Placement $placement, Drifts $drifts): RedirectResponse
    {
        $this->authorize('serve', $placement->section);
        $drifts->takeBack($placement, $this->person($request));

        return redirect()->route('drift')->with('said', __('publishing.drift.back'));
    }

    public function leave(Request $request, Section $section, int $added, OthersThere $others): RedirectResponse
    {
        $others->leave($section, $added, $this->person($request));

        return redirect()->route('drift')->with('said', __('publishing.added.left'));
    }

    public function remove(Request $request, Section $section, int $added, OthersThere $others): RedirectResponse
    {
        try {
            $others->takeAway($section, $added, $this->person($request));
        } catch (DestinationFailure $e) {
            return redirect()
                ->route('drift')
                ->withErrors(['form' => $e->getMessage()]);
        }

        return redirect()->route('drift')->with('said', __('publishing.added.removed'));
    }
}
