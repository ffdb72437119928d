<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\View\View;
use Nomada\App\Actions\Publishing\ChooseLanguage;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Queries\CurrentTerm;
use Nomada\App\View\Registration\Me\MeQuery;

final class MeController extends Controller
{
    /** In which language they read; none for as the roster or the browser says. */
    public function language(Request $request, ChooseLanguage $speak): RedirectResponse
    {
        $given = $request->validate(
            ['language' => ['nullable', Rule::in((array) config('app.languages'))]],
            ['language.*' => __('me.language_fault')],
        );
        $speak($this->person($request), $given['language'] ?? null);
        app()->setLocale($given['language'] ?? app()->getLocale());

        return back()->with('said', __('me.kept'));
    }

    public function __invoke(Request $request, MeQuery $page, CurrentTerm $term): View|RedirectResponse
    {
        $person = $this->person($request);
        if ($person->isStaff()) {
            return redirect()->route('board');
        }

        return view('registration.me', ['page' => $page->page($person, $term->find())]);
    }
}
