<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Account;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Nomada\App\Models\Term\Person;

/**
 * Asks whether an address and a password go together: in the same time and with the same answer, whether the school
 * knows the address or not. What fails is counted by account, by where it comes from, and over all.
 */
final class CheckPassword
{
    /** Failures within MINUTES; a school's people share one address, so many may mistype there. */
    private const BOUNDS = ['account' => 10, 'from' => 200, 'all' => 5000];

    private const MINUTES = 15;

    /** Whether too many tries have failed, for this account, from there, or in all. */
    public function isBarred(string $typed, string $from): bool
    {
        foreach ($this->keys($typed, $from) as $what => $key) {
            if (RateLimiter::tooManyAttempts($key, self::BOUNDS[$what])) {
                return true;
            }
        }

        return false;
    }

    /** The person; null where the two do not go together. */
    public function __invoke(string $typed, string $password, string $from): ?Person
    {
        $person = Person::query()->where(Person::signingInBy($typed))->whereNull('disabled_on')->first();
        // Whom nobody knows is compared with a password that nobody has.
        $fits = Hash::check($password, $person->password ?? $this->nobodys());
        $isDemo = $person !== null && $person->has_demo_password && ! config('nomada.demo');
        if ($person !== null && $fits && ! $isDemo) {
            RateLimiter::clear($this->keys($typed, $from)['account']);
            if (Hash::needsRehash($person->password)) {
                $person->forceFill(['password' => $password])->save();
            }

            return $person;
        }
        foreach ($this->keys($typed, $from) as $key) {
            RateLimiter::hit($key, self::MINUTES * 60);
        }

        return null;
    }

    /** @return array{account: string, from: string, all: string} */
    private function keys(string $typed, string $from): array
    {
        return [
            'account' => 'sign-in of '.hash('sha256', mb_strtolower(trim($typed))),
            'from' => "sign-in from $from",
            'all' => 'sign-in of all',
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
