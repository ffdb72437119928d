<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;
use Nomada\App\Actions\Account\CheckPassword;
use Nomada\App\Actions\Account\SecondFactor;
use Nomada\App\Actions\Account\SetPassword;
use Nomada\App\Http\BrowserSignIn;
use Nomada\App\Models\Account\SignIn;
use Nomada\App\Models\Term\Person;
use Nomada\App\View\DemoPeople;

final class SignInController extends Controller
{
    /** Whose password was right, and when, while the second factor is asked for. */
    private const HALF = 'half signed in';

    private const SECONDS = 600;

    public function create(DemoPeople $demo): View
    {
        return view('sign-in', ['groups' => config('nomada.demo') ? $demo->groups() : null]);
    }

    public function store(Request $request, CheckPassword $check, BrowserSignIn $signIns): RedirectResponse
    {
        $given = $request->validate(
            ['email' => ['required', 'string', 'max:255'], 'password' => ['required', 'string', 'max:400']],
            ['email.*' => __('account.sign_in.address'), 'password.*' => __('account.sign_in.password')],
        );
        $typed = trim($given['email']);
        $from = (string) $request->ip();
        $known = BrowserSignIn::known($request);
        abort_if($check->isBarred($typed, $from, $known), 429);
        $person =
            $check($typed, SetPassword::normal($given['password']), $from, $known) ??
            throw ValidationException::withMessages(['email' => __('account.sign_in.wrong')]);
        if ($person->hasSecondFactor()) {
            $request->session()->regenerate();
            $request->session()->put(self::HALF, [$person->id, time(), self::mark($person)]);
            $request->session()->put(BrowserSignIn::REMEMBER, $request->boolean('remember'));

            return redirect()->route('sign-in.code');
        }
        $signIns->begin($person, $request, $request->boolean('remember'));

        return redirect()->intended(self::home($person));
    }

    /** The second factor, for anybody who has given the first a moment ago. */
    public function second(Request $request): View|RedirectResponse
    {
        return $this->half($request) === null ? redirect()->route('sign-in') : view('account.code');
    }

    public function enter(Request $request, SecondFactor $factor, BrowserSignIn $signIns): RedirectResponse
    {
        $person = $this->half($request);
        if ($person === null) {
            return redirect()->route('sign-in')->with('said', __('account.sign_in.again'));
        }
        $given = $request->validate(
            ['code' => ['required', 'string', 'max:40']],
            ['code.*' => __('account.factor.write')],
        );
        if (! $factor->opens($person, $given['code'])) {
            throw ValidationException::withMessages(['code' => __('account.factor.wrong')]);
        }
        $remember = (bool) $request->session()->pull(BrowserSignIn::REMEMBER);
        $request->session()->forget(self::HALF);
        $signIns->begin($person, $request, $remember);

        return redirect()->intended(self::home($person));
    }

    /** Where somebody begins: teachers with their lessons of today. */
    private static function home(Person $person): string
    {
        return $person->isStaff() && ! $person->isCoordinator() ? route('today') : '/';
    }

    private function half(Request $request): ?Person
    {
        $half = $request->session()->get(self::HALF);

        $person =
            is_array($half) && time() - (int) ($half[1] ?? 0) < self::SECONDS
                ? Person::enabled((int) ($half[0] ?? 0))
                : null;

        // A password that was changed meanwhile ends what the old one began.
        return $person !== null && hash_equals(self::mark($person), (string) ($half[2] ?? '')) ? $person : null;
    }

    private static function mark(Person $person): string
    {
        return hash('sha256', $person->password);
    }

    /** The demo people come in without a password; outside the demo this address does not exist. */
    public function demo(Request $request, BrowserSignIn $signIns): RedirectResponse
    {
        abort_unless((bool) config('nomada.demo'), 404);
        $person = Person::bySourcedId($request->string('person')->value());
        abort_if($person->disabled_on !== null, 404);
        $signIns->begin($person, $request, false);

        return redirect()->intended(self::home($person));
    }

    public function destroy(Request $request, BrowserSignIn $signIns): RedirectResponse
    {
        $person = $request->user();
        $current = $signIns->current($request);
        if ($person instanceof Person && $current !== null) {
            SignIn::end($current, $person);
        }
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }
}
