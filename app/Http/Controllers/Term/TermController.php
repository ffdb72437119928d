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
use Nomada\App\Support\Words;
use Nomada\App\View\Term\TermPage;

final class TermController extends Controller
{
    public function __invoke(TermPage $page): View
    {
        return view('term.term', $page->data($this->term()));
    }

    /** Which term the screens are about, until another is chosen. */
    public function choose(Request $request): RedirectResponse
    {
        $term = Term::query()->findOrFail($request->integer('term'));
        TermInAddress::use($term->sourced_id);

        return redirect()
            ->route('term')
            ->with('said', "You look at {$term->title} now.");
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

        return redirect()
            ->route('term')
            ->with(
                'said',
                "{$term->title} is added, and you look at it now. It has no section yet: import them, or copy another ".
                    "term's plan.",
            );
    }

    public function copy(Request $request, KeepTerms $keep): RedirectResponse
    {
        $given = $request->validate(
            ['from' => ['required', 'integer', 'exists:terms,id'], 'with_students' => ['nullable', 'boolean']],
            ['from.*' => 'Choose the term to copy from.'],
        );
        $sum = $keep->copy(
            Term::query()
                ->with(['school', 'closures'])
                ->findOrFail($request->integer('from')),
            $this->term(),
            (bool) ($given['with_students'] ?? false),
            $this->person($request),
        );

        return redirect()
            ->route('term')
            ->with(
                'said',
                Words::count($sum['sections'], 'section').
                    ' and '.
                    Words::count($sum['series'], 'series', 'series').
                    ' are copied.'.
                    ($sum['skipped'] === []
                        ? ''
                        : ' Nothing of these falls into the term: '.implode('; ', $sum['skipped']).'.'),
            );
    }

    public function destroy(Request $request, Term $term, KeepTerms $keep): RedirectResponse
    {
        $keep->remove($term);
        TermInAddress::use(null);

        return redirect()
            ->route('term')
            ->with('said', "{$term->title} is removed.");
    }
}
