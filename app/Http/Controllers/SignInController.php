<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;
use Nomada\App\Models\Term\Person;
use Nomada\App\View\DemoPeople;

final class SignInController extends Controller
{
    public function create(DemoPeople $demo): View
    {
        return view('sign-in', ['groups' => config('nomada.demo') ? $demo->groups() : []]);
    }

    public function store(Request $request): RedirectResponse
    {
        $given = $request->validate(
            ['email' => ['required', 'string', 'max:255'], 'password' => ['required', 'string', 'max:255']],
            [
                'email.required' => 'Write the address that your school knows.',
                'password.required' => 'Write your password.',
            ],
        );
        if (
            ! Auth::attempt(
                [Person::signingInBy(trim($given['email'])), 'password' => $given['password']],
                $request->boolean('remember'),
            )
        ) {
            throw ValidationException::withMessages([
                'email' => 'Address and password do not go together. Check both, or ask your school.',
            ]);
        }
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    /** The demo people come in without a password; outside the demo this address does not exist. */
    public function demo(Request $request): RedirectResponse
    {
        abort_unless((bool) config('nomada.demo'), 404);
        $person = Person::query()
            ->where('sourced_id', (string) $request->input('person'))
            ->whereNull('disabled_on')
            ->firstOrFail();
        Auth::login($person);
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('sign-in');
    }
}
