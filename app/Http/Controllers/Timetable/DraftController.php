<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\KeepDrafts;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\DraftRequest;
use Nomada\App\Models\Term\Term;
use Nomada\App\Models\Timetable\TimetableDraft;
use Nomada\App\View\Timetable\Drafts\DraftsQuery;

/** Drafts of a next timetable. */
final class DraftController extends Controller
{
    public function index(Request $request, DraftsQuery $query): View
    {
        $shown = [$request->integer('draft'), $request->integer('beside')];

        return view('timetable.drafts', [
            'page' => $query->page($this->term(), array_values(array_filter($shown))),
        ]);
    }

    public function store(DraftRequest $request, KeepDrafts $keep): RedirectResponse
    {
        $draft = $keep->make(
            $this->term(),
            Term::findOrFail($request->to())->load(['school', 'closures']),
            $request->title(),
            $request->boolean('anew'),
            $request->pins(),
            $this->person($request),
        );

        return redirect()->route('drafts', ['draft' => $draft->id]);
    }

    public function take(Request $request, int $timetableDraft, KeepDrafts $keep): RedirectResponse
    {
        $draft = TimetableDraft::found($this->term(), $timetableDraft);
        $sum = $keep->take($draft, $request->boolean('with_students'), $this->person($request));

        return redirect()
            ->route('drafts', ['draft' => $draft->id])
            ->with(
                'said',
                (string) __('said.drafts.taken', [
                    'term' => $draft->term->title,
                    'series' => trans_choice('count.series', $sum['series']),
                ]),
            );
    }

    public function destroy(int $timetableDraft, KeepDrafts $keep): RedirectResponse
    {
        $draft = TimetableDraft::found($this->term(), $timetableDraft);
        $keep->drop($draft);

        return redirect()
            ->route('drafts')
            ->with('said', (string) __('said.drafts.dropped', ['title' => $draft->title]));
    }
}
