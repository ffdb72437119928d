<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\LookRequest;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Clock;
use Nomada\App\View\Publishing\LookPage;

final class LookController extends Controller
{
    /** As somebody, from a day and a time of theirs on; from now where none is given. */
    public function __invoke(LookRequest $request, string $sourcedId, LookPage $page, Clock $clock): View
    {
        $who = Person::bySourcedId($sourcedId);
        $at = $request->at($who->zone(), $clock->seconds());

        return view('publishing.look', [
            'page' => $page->of($who, $this->person($request), $this->term(), $at),
            'fault' => $request->fault,
        ]);
    }
}
