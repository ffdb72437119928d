<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Account;

use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nomada\App\Models\Account\AccountPass;
use Nomada\App\Models\Account\SignIn;
use Nomada\App\Models\Term\Person;
use Nomada\App\Support\Browser;

/**
 * Signs somebody in and out, and knows where they are signed in. One that is ended from elsewhere is out at its next
 * request, remembered or not.
 */
final class SignIns
{
    /** The session's name for the row of this browser. */
    public const KEY = 'sign_in';

    /** Whether this browser is to be remembered, while the second factor is asked for. */
    public const REMEMBER = 'sign_in.remember';

    /** The cookie, sealed as all are, of who has signed in with a browser. */
    private const BROWSER = 'known_here';

    /** How many people of a browser are remembered, and for how many days. */
    private const KNOWN = 8;

    private const KNOWN_FOR = 180;

    /** How long "seen" may lag behind, in seconds: it costs a write. */
    private const LAG = 300;

    public function begin(Person $person, Request $request, bool $remember): void
    {
        Auth::login($person, $remember);
        $request->session()->regenerate();
        $this->note($person, $request);
        $known = array_slice(array_unique([$person->id, ...self::known($request)]), 0, self::KNOWN);
        Cookie::queue(self::BROWSER, implode(',', $known), self::KNOWN_FOR * 1440);
    }

    /** @return list<int> people who have signed in with this browser, latest first */
    public static function known(Request $request): array
    {
        $value = $request->cookie(self::BROWSER);

        return is_string($value) && $value !== '' ? array_map(intval(...), explode(',', $value)) : [];
    }

    /** Writes down where somebody is signed in; a remembered browser comes without a session. */
    public function note(Person $person, Request $request): SignIn
    {
        $now = now();
        $row = SignIn::query()->create([
            'person_id' => $person->id,
            'browser' => Browser::of($request),
            'address' => (string) $request->ip(),
            'began_at' => $now,
            'seen_at' => $now,
        ]);
        $request->session()->put(self::KEY, $row->id);

        return $row;
    }

    /** Whether the browser's sign-in goes on. */
    public function goesOn(Person $person, Request $request): bool
    {
        $id = $request->session()->get(self::KEY);
        $row = is_int($id) ? SignIn::query()->find($id) : null;
        if ($row === null || $row->person_id !== $person->id) {
            $this->note($person, $request);

            return true;
        }
        if ($row->ended_at !== null) {
            return false;
        }
        if ($row->seen_at->diffInSeconds(now()) > self::LAG) {
            $row->update(['seen_at' => now(), 'address' => (string) $request->ip()]);
        }

        return true;
    }

    /**
     * Ends all sign-ins of people who are disabled, their links to set a password, their signed links and the secret
     * address of their calendar: enabling them later revives none of them.
     *
     * @param  list<int>  $people
     */
    public static function endAll(array $people): void
    {
        SignIn::query()
            ->whereIn('person_id', $people)
            ->whereNull('ended_at')
            ->update(['ended_at' => now()]);
        self::endLinks($people);
    }

    /**
     * Ends every link and secret address of people, and not where they are signed in.
     *
     * @param  list<int>  $people
     */
    public static function endLinks(array $people): void
    {
        AccountPass::query()
            ->whereIn('person_id', $people)
            ->whereNull('used_at')
            ->update(['used_at' => now()]);
        Person::query()
            ->whereKey($people)
            ->update([
                'links_version' => DB::raw('links_version + 1'),
                'feed_secret' => null,
                'feed_hash' => null,
            ]);
    }

    /**
     * Ends some of a person's sign-ins. Every browser's remembering ends with it: what is kept in their cookies is one
     * word for all.
     *
     * @param  int|null  $only  one of them; null for all
     * @param  int|null  $but  the one that stays
     */
    public function end(Person $person, ?int $only = null, ?int $but = null): int
    {
        $n = SignIn::query()
            ->where('person_id', $person->id)
            ->whereNull('ended_at')
            ->when($only !== null, fn ($q) => $q->whereKey($only))
            ->when($but !== null, fn ($q) => $q->where('id', '!=', $but))
            ->update(['ended_at' => now()]);
        if ($n > 0) {
            $person->forceFill(['remember_token' => Str::random(60)])->save();
        }

        return $n;
    }

    public function current(Request $request): ?int
    {
        $id = $request->session()->get(self::KEY);

        return is_int($id) ? $id : null;
    }
}
