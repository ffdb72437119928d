<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Nomada\App\Actions\Registration\RegisterRosters;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\ChosenSections;
use Nomada\App\Post\WriteInvitations;

final class RosterController extends Controller
{
    public function store(ChosenSections $request, RegisterRosters $register): RedirectResponse
    {
        $sections = array_values(array_map(intval(...), $request->chosen()->pluck('id')->all()));
        $said = $register($sections)->words();
        if ($request->boolean('write')) {
            WriteInvitations::dispatch($sections);
            $said .= ' '.__('said.roster.letters_too');
        }

        return back()->with('said', $said);
    }
}
