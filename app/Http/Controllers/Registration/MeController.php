<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Support\CurrentTerm;
use Nomada\App\View\Registration\StudentPage;

final class MeController extends Controller
{
    public function __invoke(Request $request, StudentPage $page, CurrentTerm $term): View|RedirectResponse
    {
        $person = $this->person($request);
        if ($person->isStaff()) {
            return redirect()->route('board');
        }

        return view('registration.me', $page->data($person, $term->find()));
    }
}
