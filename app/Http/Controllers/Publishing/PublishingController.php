<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Publishing\PlanQuery;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\ChosenSections;
use Nomada\App\Http\Requests\PublishRequest;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Showings;
use Nomada\App\View\Publishing\Plan\PlanPages;
use Nomada\App\View\Publishing\Plan\SectionPlan;

final class PublishingController extends Controller
{
    private const CHOSEN = 'publishing.chosen';

    public function index(Request $request, PlanPages $page): View
    {
        $chosen = $request->query('show') === 'chosen' ? (array) $request->session()->get(self::CHOSEN, []) : null;

        return view('publishing.plan', [
            'page' => $page->page(
                $this->term(),
                $this->person($request),
                (string) $request->query('show', ''),
                $chosen,
                (string) $request->query('open', ''),
            ),
        ]);
    }

    /** Remembers what was chosen on the board, and shows the plan for just that. */
    public function choose(ChosenSections $request): RedirectResponse
    {
        $request->session()->put(self::CHOSEN, $request->chosen()->pluck('sourced_id')->all());

        return redirect()->route('publishing', ['show' => 'chosen']);
    }

    /** The plan of one section in full, to be opened within its row. */
    public function section(Section $section, PlanQuery $plan): View
    {
        $this->authorize('view', $section);

        return view('publishing.plan.section', [
            'plan' => SectionPlan::of($plan->items($section->id), Showings::of([$section->id])[$section->id]->language),
        ]);
    }

    public function store(PublishRequest $request, StartRun $start): RedirectResponse
    {
        $sections = array_values(array_map(intval(...), $request->chosen()->pluck('id')->all()));
        $at = $request->at($this->term()->calendar()->zone);
        if ($at !== null) {
            return redirect()->route(
                'run',
                $start->later($sections, $request->places(), $at, $this->person($request)),
            );
        }
        $begun = $start->publish($sections, $this->person($request), true, $request->places());

        return match (true) {
            $begun->run !== null => redirect()->route('run', $begun->run),
            $begun->letters > 0 => back()->with('said', trans_choice('said.publishing.told', $begun->letters)),
            default => back()->with('said', (string) __('said.publishing.everything_stands_should')),
        };
    }
}
