<?php

declare(strict_types=1);

namespace Nomada\App\Http;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;
use Nomada\App\Actions\Account\SignIns;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Browser;

/** Signs somebody in and out of a browser: its session, and the cookie of who has signed in with it. */
final readonly class BrowserSignIn
{
    /** The session's name for the row of this browser. */
    public const KEY = 'sign_in';

    /** Whether this browser should be remembered, while the second factor is asked for. */
    public const REMEMBER = 'sign_in.remember';

    /** The cookie, sealed as all are, of who has signed in with a browser. */
    private const BROWSER = 'known_here';

    /** How many people of a browser are remembered, and for how many days. */
    private const KNOWN = 8;

    private const KNOWN_FOR = 180;

    public function __construct(private SignIns $signIns)
    {
    }

    public function begin(Person $person, Request $request, bool $remember): void
    {
        Auth::login($person, $remember);
        $request->session()->regenerate();
        $row = $this->signIns->begin($person, Browser::of($request), (string) $request->ip());
        $request->session()->put(self::KEY, $row->id);
        $known = array_slice(array_unique([$person->id, ...self::known($request)]), 0, self::KNOWN);
        Cookie::queue(self::BROWSER, implode(',', $known), self::KNOWN_FOR * 1440);
    }

    /** Whether the browser's sign-in goes on. A remembered browser comes without a session, and begins another. */
    public function goesOn(Person $person, Request $request): bool
    {
        $current = $this->current($request);
        $id = $this->signIns->goOn($person, $current, Browser::of($request), (string) $request->ip());
        if ($id !== null && $id !== $current) {
            $request->session()->put(self::KEY, $id);
        }

        return $id !== null;
    }

    public function current(Request $request): ?int
    {
        $id = $request->session()->get(self::KEY);

        return is_int($id) ? $id : null;
    }

    /** @return list<int> people who have signed in with this browser, latest first */
    public static function known(Request $request): array
    {
        $value = $request->cookie(self::BROWSER);

        return is_string($value) && $value !== '' ? array_map(intval(...), explode(',', $value)) : [];
    }
}
