<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Term\KeepTerms;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Middleware\TermInAddress;
use Nomada\App\Http\Requests\TermRequest;
use Nomada\App\Models\Term\Term;
use Nomada\App\View\Term\Calendar\TermQuery;

final class TermController extends Controller
{
    public function __invoke(Request $request, TermQuery $page): View
    {
        return view('term.term', ['page' => $page->of($this->term(), $this->person($request))]);
    }

    /** Which term the screens are about, until another is chosen. */
    public function choose(Request $request): RedirectResponse
    {
        $term = Term::findOrFail($request->integer('term'));
        TermInAddress::use($term->sourced_id);

        return redirect()
            ->route('term')
            ->with('said', (string) __('said.term.you_look_at', ['title' => $term->title]));
    }

    public function store(TermRequest $request, KeepTerms $keep): RedirectResponse
    {
        $term = $keep->add(
            $this->term()->school,
            trim((string) $request->validated('term_title')),
            $request->first(),
            $request->last(),
        );
        TermInAddress::use($term->sourced_id);

        return redirect()->route('term')->with('said', (string) __('said.term.added', ['title' => $term->title]));
    }

    public function copy(Request $request, KeepTerms $keep): RedirectResponse
    {
        $given = $request->validate(
            ['from' => ['required', 'integer', 'exists:terms,id'], 'with_students' => ['nullable', 'boolean']],
            ['from.*' => (string) __('said.term.choose_term_copy')],
        );
        $sum = $keep->copy(
            Term::findOrFail($request->integer('from'))->load(['school', 'closures']),
            $this->term(),
            (bool) ($given['with_students'] ?? false),
            $this->person($request),
        );

        return redirect()
            ->route('term')
            ->with(
                'said',
                (string) __('said.term.copied', [
                    'sections' => trans_choice('count.sections', $sum['sections']),
                    'series' => trans_choice('count.series', $sum['series']),
                ]).
                    ($sum['skipped'] === []
                        ? ''
                        : ' '.__('said.term.skipped', ['which' => implode('; ', $sum['skipped'])])),
            );
    }

    public function destroy(Request $request, Term $term, KeepTerms $keep): RedirectResponse
    {
        $keep->remove($term);
        TermInAddress::use(null);

        return redirect()->route('term')->with('said', (string) __('said.term.removed', ['title' => $term->title]));
    }
}
