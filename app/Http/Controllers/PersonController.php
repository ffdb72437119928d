<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers;

use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Models\Term\Person;
use Nomada\App\View\PersonPage;

final class PersonController extends Controller
{
    public function __invoke(Request $request, string $sourcedId, PersonPage $page): View
    {
        $person = Person::query()->where('sourced_id', $sourcedId)->firstOrFail();

        return view('person', $page->data($person, $this->person($request), $this->term()));
    }
}
