<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Nomada\App\Actions\Registration\RegisterRosters;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\ChosenSections;

final class RosterController extends Controller
{
    public function store(ChosenSections $request, RegisterRosters $register): RedirectResponse
    {
        return back()->with('said', $register($request->chosen()->pluck('id')->all())->words());
    }
}
