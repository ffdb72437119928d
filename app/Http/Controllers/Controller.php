<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers;

use Illuminate\Foundation\Auth\Access\AuthorizesRequests;
use Illuminate\Http\Request;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Term;
use Nomada\App\Queries\CurrentTerm;

abstract class Controller
{
    use AuthorizesRequests;

    protected function person(Request $request): Person
    {
        $person = $request->user();

        return $person instanceof Person ? $person : abort(401);
    }

    /** The current term; without one every page but the import says that there is nothing yet. */
    protected function term(): Term
    {
        return app(CurrentTerm::class)->find() ?? abort(redirect()->route('begin'));
    }
}
