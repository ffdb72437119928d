<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Account;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Account\CheckPassword;
use Nomada\App\Actions\Account\SecondFactor;
use Nomada\App\Actions\Account\SetPassword;
use Nomada\App\Actions\Account\SignIns;
use Nomada\App\Http\BrowserSignIn;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\View\Account\AccountPage;

/** One's own account: password, second factor, where one is signed in. */
final class AccountController extends Controller
{
    public function show(Request $request, BrowserSignIn $browser): View
    {
        return view('account.account', [
            'page' => AccountPage::of($this->person($request), $browser->current($request)),
        ]);
    }

    public function password(Request $request, SetPassword $set, BrowserSignIn $browser): RedirectResponse
    {
        $given = $request->validate(
            [
                'old_password' => ['required', 'string', 'max:400'],
                'password' => ['required', 'string', 'max:400'],
                'again' => ['required', 'string', 'same:password'],
            ],
            [
                'old_password.*' => __('account.password.old'),
                'password.*' => __('account.password.write'),
                'again.*' => __('account.password.differ'),
            ],
        );
        $set->change(
            $this->person($request),
            $given['old_password'],
            $given['password'],
            $browser->current($request),
        );

        return redirect()->route('account')->with('said', __('account.password.changed'));
    }

    public function begin(Request $request, SecondFactor $factor, CheckPassword $check): RedirectResponse
    {
        if (! $this->knowsPassword($request, $check)) {
            return $this->wrongPassword();
        }
        $factor->begin($this->person($request));

        return redirect()->route('account');
    }

    public function confirm(Request $request, SecondFactor $factor): RedirectResponse
    {
        $given = $request->validate(
            ['code' => ['required', 'string', 'max:20']],
            ['code.*' => __('account.factor.write')],
        );

        return redirect()
            ->route('account.codes')
            ->with('codes', $factor->confirm($this->person($request), $given['code']));
    }

    /** The paper codes, once. */
    public function shown(Request $request): View|RedirectResponse
    {
        $codes = $request->session()->get('codes');

        return is_array($codes) ? view('account.codes', ['codes' => $codes]) : redirect()->route('account');
    }

    public function codes(Request $request, SecondFactor $factor, CheckPassword $check): RedirectResponse
    {
        if (! $this->knowsPassword($request, $check)) {
            return $this->wrongPassword();
        }

        return $this->isOwn($request, $factor)
            ? redirect()->route('account.codes')->with('codes', $factor->codes($this->person($request)))
            : $this->wrongCode();
    }

    public function drop(Request $request, SecondFactor $factor, CheckPassword $check): RedirectResponse
    {
        if (! $this->knowsPassword($request, $check)) {
            return $this->wrongPassword();
        }
        if (! $this->isOwn($request, $factor)) {
            return $this->wrongCode();
        }
        $factor->drop($this->person($request));

        return redirect()->route('account')->with('said', __('account.factor.dropped'));
    }

    public function end(
        Request $request,
        SignIns $signIns,
        BrowserSignIn $browser,
        string $id = '',
    ): RedirectResponse {
        $person = $this->person($request);
        $n =
            $id === ''
                ? $signIns->end($person, but: $browser->current($request))
                : $signIns->end($person, only: (int) $id);

        return redirect()->route('account')->with('said', trans_choice('account.sign_ins.said', $n));
    }

    /** What changes the second factor asks for a code of it once more. */
    private function isOwn(Request $request, SecondFactor $factor): bool
    {
        $code = $request->input('own_code');

        return is_string($code) && $factor->opens($this->person($request), $code);
    }

    private function knowsPassword(Request $request, CheckPassword $check): bool
    {
        $typed = $request->input('own_password');

        return is_string($typed) && $check->own($this->person($request), $typed);
    }

    private function wrongPassword(): RedirectResponse
    {
        return redirect()
            ->route('account')
            ->withErrors(['own_password' => __('account.password.wrong')]);
    }

    private function wrongCode(): RedirectResponse
    {
        return redirect()
            ->route('account')
            ->withErrors(['own_code' => __('account.factor.wrong')]);
    }
}
