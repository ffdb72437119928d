<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Account;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Fault;

/**
 * Checks whether an account and a password go together, in the same time and with the same answer whether the school
 * knows the account or not.
 *
 * Only failures are counted, and each count bars only the guessing: an account from one network address after ten,
 * from anywhere after fifty. A whole school behind one address never shuts itself out: many failures there only lower
 * what each account may fail from there. A browser in which somebody has signed in before has a count of its own, so
 * that nobody else's guessing keeps its owner out.
 */
final class CheckPassword
{
    /** Failures within MINUTES. */
    private const FROM_ONE_ADDRESS = 10;

    private const FROM_ANYWHERE = 50;

    /** Of all accounts from one address, and from anywhere: above it an account may fail only so often from one. */
    private const MANY_THERE = 200;

    private const MANY_IN_ALL = 5000;

    private const THEN_ONLY = 3;

    private const MINUTES = 15;

    /**
     * Whether too many tries have failed.
     *
     * @param  list<int>  $known  people who have signed in with this browser before
     */
    public function isBarred(string $typed, string $from, array $known = []): bool
    {
        $keys = $this->keys($typed, $from);
        if ($known !== [] && $this->whoseBrowser($typed, $known) !== null) {
            return RateLimiter::tooManyAttempts($keys['browser'], self::FROM_ONE_ADDRESS);
        }
        $isMany =
            RateLimiter::attempts($keys['from']) >= self::MANY_THERE ||
            RateLimiter::attempts($keys['all']) >= self::MANY_IN_ALL;

        return RateLimiter::attempts($keys['pair']) >= ($isMany ? self::THEN_ONLY : self::FROM_ONE_ADDRESS) ||
            RateLimiter::attempts($keys['account']) >= self::FROM_ANYWHERE;
    }

    /**
     * The person; null where the two do not go together.
     *
     * @param  list<int>  $known  people who have signed in with this browser before
     */
    public function __invoke(string $typed, string $password, string $from, array $known = []): ?Person
    {
        $person = Person::query()->where(Person::signingInBy($typed))->whereNull('disabled_on')->first();
        // Whom nobody knows is compared with a password that nobody has.
        $fits = Hash::check($password, $person->password ?? $this->nobodys());
        $isDemo = $person !== null && $person->has_demo_password && ! config('nomada.demo');
        $keys = $this->keys($typed, $from);
        if ($person !== null && $fits && ! $isDemo) {
            RateLimiter::clear($keys['pair']);
            RateLimiter::clear($keys['browser']);
            if (Hash::needsRehash($person->password)) {
                $person->forceFill(['password' => $password])->save();
            }

            return $person;
        }
        $isTheirBrowser = $known !== [] && $this->whoseBrowser($typed, $known) !== null;
        foreach ($isTheirBrowser ? ['browser'] : ['pair', 'account', 'from', 'all'] as $what) {
            RateLimiter::hit($keys[$what], self::MINUTES * 60);
        }

        return null;
    }

    /**
     * Whether somebody who is signed in typed their own password.
     *
     * @throws Fault where too many were wrong
     */
    public function own(Person $person, string $password): bool
    {
        $key = "own password $person->id";
        if (RateLimiter::tooManyAttempts($key, self::FROM_ONE_ADDRESS)) {
            throw new Fault('password.many', 'old_password');
        }
        $fits = Hash::check(SetPassword::normal($password), $person->password);
        $fits ? RateLimiter::clear($key) : RateLimiter::hit($key, self::MINUTES * 60);

        return $fits;
    }

    /** @param  list<int>  $known */
    private function whoseBrowser(string $typed, array $known): ?int
    {
        $id = Person::query()->whereKey($known)->where(Person::signingInBy($typed))->value('id');

        return $id === null ? null : (int) $id;
    }

    /** @return array{pair: string, account: string, from: string, all: string, browser: string} */
    private function keys(string $typed, string $from): array
    {
        $account = hash('sha256', mb_strtolower(trim($typed)));

        return [
            'pair' => "sign-in of $account from $from",
            'account' => "sign-in of $account",
            'from' => "sign-in from $from",
            'all' => 'sign-in of all',
            'browser' => "sign-in of $account, known browser",
        ];
    }

    /** A hash of the cost that is set, made once. */
    private function nobodys(): string
    {
        $rounds = (int) config('hashing.bcrypt.rounds');

        return (string) Cache::rememberForever(
            "nobody's password $rounds",
            fn (): string => Hash::make(bin2hex(random_bytes(20)), ['rounds' => $rounds]),
        );
    }
}
