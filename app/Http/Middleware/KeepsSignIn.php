<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Nomada\App\Http\BrowserSignIn;
use Nomada\App\Models\Term\Person;
use Symfony\Component\HttpFoundation\Response;

/**
 * Being signed in depends on a sign-in that goes on; one that was ended elsewhere is over. A coordinator without a
 * second factor sets one up before anything else.
 */
final readonly class KeepsSignIn
{
    /** What may be done without a second factor: setting it up, and going. */
    private const WITHOUT = ['account', 'account.second-factor', 'account.second-factor.confirm', 'sign-out'];

    public function __construct(private BrowserSignIn $signIns)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user();
        if (! ($person instanceof Person)) {
            return $next($request);
        }
        if (! $this->signIns->goesOn($person, $request)) {
            Auth::guard('web')->logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();

            return $request->expectsJson()
                ? response()->json(['message' => __('account.ended')], 401)
                : redirect()->route('sign-in')->with('said', __('account.ended'));
        }
        $needs =
            config('nomada.second_factor') &&
            $person->isCoordinator() &&
            ! $person->hasSecondFactor() &&
            ! $request->routeIs(...self::WITHOUT);
        if ($needs) {
            return $request->expectsJson()
                ? response()->json(['message' => __('account.factor.needed')], 403)
                : redirect()->route('account')->with('said', __('account.factor.needed'));
        }

        return $next($request);
    }
}
