<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Http\RedirectResponse;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\ChosenSections;

final class LinkController extends Controller
{
    public function store(ChosenSections $request, StartRun $start): RedirectResponse
    {
        $run = $start->links(array_values($request->chosen()->pluck('id')->all()), $this->person($request));

        return $run === null
            ? back()->with('said', (string) __('said.link.every_series_these'))
            : redirect()->route('run', $run);
    }
}
