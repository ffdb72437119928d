<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Account;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Account\SetPassword;
use Nomada\App\Actions\Account\WriteReset;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Account\AccountPass;

/** The link in a letter by which somebody sets a password; and asking for one. */
final class PassController extends Controller
{
    // The id is looked up here and not bound: the signature is asked first.
    public function show(int $pass): View
    {
        return view('account.pass', ['pass' => AccountPass::findOrFail($pass)->load('person')]);
    }

    public function store(Request $request, int $pass, SetPassword $set): RedirectResponse
    {
        $given = $request->validate(
            ['password' => ['required', 'string', 'max:400'], 'again' => ['required', 'string', 'same:password']],
            ['password.*' => __('account.password.write'), 'again.*' => __('account.password.differ')],
        );
        $set->byPass(AccountPass::findOrFail($pass), $given['password']);

        return redirect()->route('sign-in')->with('said', __('account.password.kept'));
    }

    public function forgotten(): View
    {
        return view('account.forgotten');
    }

    /** The same answer for whomever: the letter is written behind it. */
    public function ask(Request $request): RedirectResponse
    {
        $given = $request->validate(
            ['email' => ['required', 'string', 'max:255']],
            ['email.*' => __('account.forgotten.write')],
        );
        WriteReset::dispatch(trim($given['email']));

        return redirect()->route('sign-in')->with('said', __('account.forgotten.said'));
    }
}
