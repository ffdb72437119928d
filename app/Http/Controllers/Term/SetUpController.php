<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Term;

use Illuminate\Http\RedirectResponse;
use Illuminate\View\View;
use Nomada\App\Actions\Term\HideSetUp;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\SetUp\SetUpList;

/** What is left until a new school's first lesson. */
final class SetUpController extends Controller
{
    public function show(SetUpList $list): View
    {
        return view('term.set-up', ['steps' => $list->of($this->term())]);
    }

    public function hide(HideSetUp $hide): RedirectResponse
    {
        $hide();

        return redirect()->route('board')->with('said', __('setup.hidden'));
    }
}
